@php
    use HiddenWire\Core\Quantity\Count;
    $mayTest = Gate::allows('test', $page->record);
@endphp
<x-rig-frame :page="$page">
    <div class="page bench-page">
        <div class="recipes-head">
            <h2>Test of the real rig</h2>
            <p class="quiet">{{ $bench->tested() }}</p>
        </div>
        <p class="bench-sum"><strong>{{ Count::of(count($bench->plan->steps), 'step') }}</strong> cover every wish in every situation, with
            {{ Count::of($bench->plan->walks(), 'walk') }} between places; one sound at one listener at a time it would be
            {{ $bench->plan->naive }}. @if ($bench->run !== null) {{ $bench->standing() }}. @endif</p>
        <div class="bench-do">
            @if ($bench->run !== null)
                <a class="btn btn-sm btn-ink" href="{{ $bench->runUrl() }}">Go on with this test</a> @endif
            @if ($bench->plan->steps !== [] && $mayTest) <form method="post" action="{{ route('rigs.bench.store', $page->record) }}">@csrf
                <button class="{{ $bench->run === null ? 'btn btn-sm btn-ink' : 'do' }}" type="submit">{{ $bench->run === null
                ? 'Start a test' : 'Start a new test' }}</button></form> @endif
            @if ($bench->run !== null) <a href="{{ $bench->exportUrl() }}" download>Test as JSON</a> @endif
            <a href="{{ $page->url([], 'faults') }}">Find a fault</a>
            <a href="{{ $page->url([], 'tones') }}">Tone test</a>
            <a href="{{ route('rigs.bench.practise', $page->record) }}">Practise in a simulated room</a>
        </div>
        @if ($bench->events() !== [])
        <form class="bench-after" method="get" action="{{ route('rigs.bench', $page->record) }}">
            <input type="hidden" name="situation" value="{{ $page->situation->id }}">
            <label for="bench-after">Only what can be otherwise after</label>
            <select class="form-select form-select-sm" id="bench-after" name="after"><option value="">anything</option>
                @foreach ($bench->events() as $key => $words) <option value="{{ $key }}" @selected($key === $bench->after?->key)>{{ $words
                    }}</option> @endforeach</select>
            <button class="do" type="submit">Show</button>
            @if ($bench->after !== null) <strong>{{ count($bench->steps()) }} of {{ Count::of(count($bench->plan->steps), 'step')
                }}</strong> @endif
        </form>
        @endif
        @if ($bench->farUrls() !== [])
        <details class="bench-import"><summary>Links for people far away</summary>
            <p class="quiet">Whoever has one says for a day what they hear, without an account.</p>
            <ul class="tone-takes">@foreach ($bench->farUrls() as $name => $url) <li>{{ $name }}: <a href="{{ $url }}"
                rel="noreferrer">{{ parse_url($url, PHP_URL_HOST).parse_url($url, PHP_URL_PATH) }}</a></li> @endforeach</ul>
        </details>
        @endif
        @if ($mayTest) <details class="bench-import"><summary>Bring a test in</summary>
            <form method="post" action="{{ route('rigs.bench.import', $page->record) }}" enctype="multipart/form-data">@csrf
                <label>Test as JSON <input class="form-control form-control-sm" type="file" name="test" accept=".json,application/json"
                    required></label>
                <button class="do" type="submit">Bring it in</button>
            </form>
        </details> @endif
        @php $measured = $bench->measured(); @endphp
        @if ($measured !== [])
        <details class="bench-import"><summary>Measured by tone tests: {{ Count::of(count($measured), 'value') }}</summary>
            <table class="take-table">
                <thead><tr><th scope="col">Track</th><th scope="col">Sound</th><th scope="col">Measured</th><th scope="col">Planned</th>
                    <th scope="col">Otherwise</th></tr></thead>
                <tbody>@foreach ($measured as $one) <tr><th scope="row">{{ $one['track'] }}</th><td>{{ $one['sound'] }}</td>
                    <td>{{ $one['db'] }}</td><td>{{ $one['planned'] }}</td><td>{{ $one['differences'] }}</td></tr> @endforeach</tbody>
            </table>
        </details>
        @endif
        @if ($bench->plan->steps === []) <p>There is nothing to test yet: say in Wishes who must hear what.</p> @endif
        @foreach ($bench->walk() as $situation => $places)
            <section aria-labelledby="bench-{{ $loop->index }}">
                <h3 id="bench-{{ $loop->index }}">{{ $situation }}</h3>
                <table class="bench-table"><tbody>
                    @foreach ($places as $place => $steps)
                        @foreach ($steps as $step)
                            @php $answer = $bench->answer($step); @endphp
                            <tr class="is-{{ $bench->stands($step) }}">
                                @if ($loop->first) <th scope="rowgroup" rowspan="{{ count($steps) }}">{{ $place }}</th> @endif
                                <th scope="row">{{ $step->listener->name }}</th>
                                <td>{{ $step->play() }}@if ($step->meters !== [])
                                    <small>{{ implode('; ', $step->meters) }}</small>@endif</td>
                                <td>{{ $step->look() }}@if ($step->notes() !== [])
                                    <small>{{ implode('; ', $step->notes()) }}</small>@endif @if ($step->standIn() !== '') <small>{{
                                    $step->standIn() }}</small>@endif</td>
                                <td class="bench-found">@if ($answer === null) <span class="quiet">open</span> @else
                                    <strong>{{ $answer->heard->words($step->isSilence()) }}</strong>@if ($bench->isStale($step))
                                    <span class="tag">out of date</span>@endif @if ($answer->note !== '') <small>{{ $answer->note }}</small>
                                    @endif @if ($bench->stands($step) === 'trouble') <a
                                    href="{{ $bench->faultUrl($step) }}">Find the fault<span class="visually-hidden">: {{
                                    $step->listener->name }}</span></a> @endif @endif
                                    @foreach ($page->canEdit ? $bench->proven($step) : [] as $fact)
                                        <x-edit :page="$page" :fields="['edit' => 'prove', 'about' => (string) $fact->about,
                                            'with' => (string) $fact->with, 'certainty' => 'proven', 'situation' => '',
                                            ...$bench->witness($step)]"><button class="do" type="submit">Proven by this: {{
                                            $fact->subject($page->rig) }}</button></x-edit>
                                    @endforeach</td>
                            </tr>
                        @endforeach
                    @endforeach
                </tbody></table>
            </section>
        @endforeach
    </div>
</x-rig-frame>

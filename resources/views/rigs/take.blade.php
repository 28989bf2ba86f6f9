@php use App\ViewModels\TakePage; use HiddenWire\Core\Quantity\Count; @endphp
<x-rig-frame :page="$take->page">
    <div class="page take-page">
        <div class="recipes-head">
            <h2>{{ $take->take->hidden === null ? 'Recorded tone test' : 'Simulated tone test' }}</h2>
            <a href="{{ route('rigs.tones', $take->page->record) }}">Back to Tone test</a>
        </div>
        <p class="quiet">{{ $take->about() }}.</p>
        @if ($take->take->state->isOpen())
            <p x-data="madeBook" data-book="{{ route('rigs.tones.show', [$take->page->record, $take->take], false) }}">It <span
                x-ref="says" x-text="says" role="status">{{ $take->take->says() }}</span>.</p>
        @elseif ($take->measured === null) <p class="take-trouble"><strong>{{ ucfirst($take->take->says()) }}</strong></p>
        @else
            @php $differences = $take->differences(); @endphp
            @if ($differences !== [] || $take->ordinary() === [])
            <p class="take-sum"><strong>{{ $differences === [] ? 'All is as planned.' : Count::of(count($differences), 'difference')
                .' from the plan.' }}</strong> @if ($differences !== []) <a class="btn btn-sm btn-ink" href="{{ $take->faultsUrl() }}">Find
                the fault</a> @endif</p>
            @endif
            @if ($take->ordinary() !== [])
                <h3>As an ordinary recording</h3>
                <p class="quiet">No signature is on it. By the levels of its tracks:</p>
                <ul>@foreach ($take->ordinary() as $says) <li>{{ $says }}</li> @endforeach</ul>
            @endif
            @if ($differences !== [])
            <table class="take-differences"><tbody>
                @foreach ($differences as ['difference' => $one, 'url' => $url, 'delays' => $delays])
                    <tr @class(['is-small' => $one->kind->isSmall()])><th scope="row">{{ $one->kind->words() }}</th>
                        <td>{{ $one->track->name }}</td><td>{{ $one->words }}.</td>
                        <td><a href="{{ $url }}">Find the fault<span class="visually-hidden">: {{ $one->words }}</span></a>
                            @if ($take->moreUrl($one) !== null) <a href="{{ $take->moreUrl($one)[1] }}">{{ $take->moreUrl($one)[0]
                                }}<span class="visually-hidden">: {{ $one->words }}</span></a> @endif
                            @foreach ($take->page->canEdit ? $delays : [] as $delay) <x-edit :page="$take->page" :fields="[
                                'edit' => 'measure', 'about' => (string) $delay->about, 'kind' => $delay->kind->value,
                                'value' => (string) $delay->value, 'situation' => '']"><button class="do" type="submit">Take over: {{
                                $delay->words($take->page->rig) }}</button></x-edit> @endforeach</td></tr>
                @endforeach
            </tbody></table>
            @endif
            @if ($take->ordinary() === [])
            <h3>What is on each track</h3>
            <table class="take-table"><caption class="visually-hidden">Levels as measured, under them as planned</caption>
                <thead><tr><th scope="col">Sound</th>@foreach ($take->measured->tracks as $track) <th scope="col">{{ $track->track->name
                    }}</th> @endforeach</tr></thead>
                <tbody>@foreach ($take->sounds() as $sound)
                    <tr><th scope="row">{{ $sound->name }}</th>@foreach ($take->measured->tracks as $track)
                        @php $cell = $take->cell($track->sounds[$sound->id] ?? null); @endphp
                        <td @class(['is-off' => $cell['isOff']])>@if ($cell['says'] !== '') {{ $cell['says'] }} <small>planned {{
                            $cell['planned'] }}</small> @endif</td> @endforeach</tr>
                @endforeach</tbody></table>
            @endif
            @foreach ($take->measured->tracks as $track)
                @php [$line, $loud] = [$take->timeline($track), $take->loudness($track)]; @endphp
                <section class="take-track" aria-labelledby="take-{{ $track->track->id }}">
                    <h3 id="take-{{ $track->track->id }}">{{ $track->track->name }}</h3>
                    <p class="take-loud"><span>{{ $loud['lufs'] }}</span><svg viewBox="0 0 200 14"
                        preserveAspectRatio="none" aria-hidden="true"><rect class="bar"
                        width="{{ 200 * $loud['share'] }}" height="14" /><path class="peak"
                        d="M{{ 200 * $loud['peakShare'] }} 0v14" /></svg>
                        <span>peak {{ $loud['peak'] }}</span> <span class="quiet">{{ $take->floor($track) }}</span></p>
                    <svg class="take-line" viewBox="0 0 {{ TakePage::WIDTH }} {{ $line['height'] }}" role="img"
                        aria-label="{{ $track->track->name }} over time: {{ implode(', ', array_column($line['rows'], 'name')) }}">
                        @if ($line['levels'] !== '') <polygon class="levels" points="{{ $line['levels'] }}" /> @endif
                        @foreach ($line['rows'] as $row)
                            <rect class="sound" x="{{ $row['x'] }}" y="{{ $row['y'] }}" width="{{ $row['width'] }}" height="12" />
                            <text x="{{ $row['x'] + 5 }}" y="{{ $row['y'] + 10 }}">{{ $row['name'] }}</text>
                        @endforeach
                        @foreach ($line['marks'] as $mark) <text class="mark" x="{{ $mark['x'] }}" y="{{ $line['height'] - 3 }}">{{
                            $mark['text'] }}</text> @endforeach
                    </svg>
                    @if ($take->hum($track) !== [])
                    <table class="take-hum"><caption>Hum</caption><tbody>@foreach ($take->hum($track) as $hum)
                        <tr><th scope="row">{{ $hum['hertz'] }} Hz</th><td><svg viewBox="0 0 200 10" aria-hidden="true"><rect class="bar"
                            width="{{ 200 * $hum['share'] }}" height="10" /></svg></td><td>{{ $hum['db'] }}</td></tr> @endforeach
                    </tbody></table>
                    @endif
                </section>
            @endforeach
        @endif
        @if ($take->take->hidden !== null && ! $take->take->state->isOpen())
            <p>@if ($take->reveals) Hidden was: {{ implode('; ', $take->take->hidden['words'] ?? []) ?: 'nothing' }}. @else <a
                href="{{ route('rigs.tones.show', [$take->page->record, $take->take, 'reveal' => 1], false) }}">Show what was hidden</a>
                @endif</p>
        @endif
        @can('test', $take->page->record) <div class="bench-do">
            @if ($take->take->files !== [] && ! $take->take->state->isOpen()) <form method="post" action="{{ route('rigs.tones.keep',
                [$take->page->record, $take->take]) }}">@csrf <button class="do" type="submit">{{ $take->take->is_kept
                ? 'Keep the files no longer' : 'Keep the files' }}</button></form> @endif
            <form method="post" action="{{ route('rigs.tones.destroy', [$take->page->record, $take->take]) }}">@csrf @method('DELETE')
                <button class="do" type="submit">{{ in_array($take->take->state->value, ['waiting', 'working'], true) ? 'Stop' : 'Remove'
                }}</button></form>
        </div> @endcan
    </div>
</x-rig-frame>

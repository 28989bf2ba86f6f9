@php $mayTest = Gate::allows('test', $bench->record); @endphp
<x-page :title="'Test of '.$bench->record->name" class="card-body">
    <main class="card-sheet bench-sheet" x-data="bench" data-account="{{ auth()->id() }}" data-run="{{ $bench->run->id }}"
        data-to="{{ route('rigs.bench.answer', [$bench->record, $bench->run]) }}" data-answers="{{ $bench->answersText() }}">
        <header>
            <p><a href="{{ route('rigs.bench', $bench->record) }}">{{ $bench->record->name }}</a></p>
            <h1>Test of the real rig</h1>
            @if (! $mayTest) <p class="quiet">You may look at this rig: testing takes the role test.</p> @endif
        </header>
        <div class="card-progress">
            <progress max="{{ max(1, count($bench->steps())) }}" value="0" aria-label="Done" x-bind:value="done"></progress>
            <p><strong x-text="count"></strong> <span class="quiet" role="status" x-text="says"></span></p>
        </div>
        @foreach ($bench->walk() as $situation => $places)
            <section>
                <h2>{{ $situation }}</h2>
                @foreach ($places as $place => $steps)
                    <h3>{{ $place }}</h3>
                    <ol>
                        @foreach ($steps as $step)
                            <li data-step="{{ $step->key }}">
                                <p class="bench-play">{{ $step->play() }}. @if ($bench->isAway($step) && $mayTest)
                                    <button type="button" class="do"
                                    data-to="{{ route('rigs.bench.playing', [$bench->record, $bench->run]) }}"
                                    x-on:click="playing">Tell {{ $step->listener->name }} that it plays now</button> @endif</p>
                                <p><strong>{{ $step->listener->name }}:</strong> {{ $step->look() }}.@if ($step->notes() !== [])
                                    <small>{{ implode('; ', $step->notes()) }}</small>@endif @if ($step->meters !== [])
                                    <small>{{ implode('; ', $step->meters) }}</small>@endif @if ($step->standIn() !== '') <small>{{
                                    $step->standIn() }}</small>@endif</p>
                                <div class="bench-answers" role="group" aria-label="What is found at {{ $step->listener->name }}">
                                    @foreach ($bench::choices($step) as $heard => $words) <button type="button" class="bench-answer"
                                        @disabled(! $mayTest)
                                        data-heard="{{ $heard }}" aria-pressed="false" x-on:click="answer">{{ $words }}</button>
                                    @endforeach
                                </div>
                                <input class="form-control bench-note" maxlength="{{ Bounds::STEP }}" placeholder="Note" x-on:change="note"
                                    @disabled(! $mayTest)
                                    aria-label="Note on {{ $step->listener->name }}: {{ $step->play() }}">
                            </li>
                        @endforeach
                    </ol>
                @endforeach
            </section>
        @endforeach
    </main>
</x-page>

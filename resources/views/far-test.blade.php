<x-page :title="'Test: '.$listener->name" class="card-body">
    <main class="card-sheet bench-sheet" x-data="bench" data-far data-account="far" data-run="{{ $bench->run->id }} {{ $listener->id }}"
        data-to="{{ $to }}" data-answers="{{ $bench->answersText() }}">
        <header>
            <p>{{ $bench->record->name }}</p>
            <h1>What do you hear, {{ $listener->name }}?</h1>
        </header>
        <p>Somebody at the rig plays one after another; what comes to you is marked here. Press what you hear.</p>
        <p><label for="far-late">It comes to me later by</label> <input class="far-late" id="far-late" type="number" min="0" max="120"
            step="0.5" inputmode="decimal" data-late value="{{ round($bench->lateMs() / 1000, 1) }}"> s</p>
        <div class="card-progress">
            <progress max="{{ max(1, count($bench->steps())) }}" value="0" aria-label="Done" x-bind:value="done"></progress>
            <p><strong x-text="count"></strong> <span class="quiet" role="status" x-text="says"></span></p>
        </div>
        @foreach ($bench->walk() as $situation => $places)
            <section>
                <h2>{{ $situation }}</h2>
                <ol>
                    @foreach (array_merge(...array_values($places)) as $step)
                        <li data-step="{{ $step->key }}">
                            <p class="bench-play">{{ $step->play() }}.</p>
                            <p>{{ ucfirst($step->look()) }}.</p>
                            <div class="bench-answers" role="group" aria-label="What you hear">
                                @foreach ($bench::choices($step) as $heard => $words) <button type="button" class="bench-answer"
                                    data-heard="{{ $heard }}" aria-pressed="false" x-on:click="answer">{{ $words }}</button> @endforeach
                            </div>
                            <input class="form-control bench-note" maxlength="{{ Bounds::STEP }}" placeholder="Note" x-on:change="note"
                                aria-label="Note: {{ $step->play() }}">
                        </li>
                    @endforeach
                </ol>
            </section>
        @endforeach
    </main>
</x-page>

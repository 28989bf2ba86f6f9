<x-page :title="'Practise: '.$bench->record->name" class="card-body">
    <main class="card-sheet bench-sheet">
        <header>
            <p><a href="{{ route('rigs.bench', $bench->record) }}">{{ $bench->record->name }}</a></p>
            <h1>Test of a simulated room</h1>
        </header>
        <p>Somewhere in it something is not as planned. At each step ask, compare, and note what differs; nothing of it is kept.</p>
        @foreach ($bench->walk() as $situation => $places)
            <section>
                <h2>{{ $situation }}</h2>
                @foreach ($places as $place => $steps)
                    <h3>{{ $place }}</h3>
                    <ol>
                        @foreach ($steps as $step)
                            <li>
                                <p class="bench-play">{{ $step->play() }}.</p>
                                <p><strong>{{ $step->listener->name }}:</strong> {{ $step->look() }}.@if ($step->meters !== [])
                                    <small>{{ implode('; ', $step->meters) }}</small>@endif</p>
                                <details class="bench-ask"><summary>Ask {{ $step->listener->name }}</summary>
                                    <p>“{{ $walk->says($step) }}”</p>
                                    @if ($step->meters !== [] || $walk->meters($step) !== []) <p>Meters: {{ $walk->meters($step) === []
                                        ? 'none moves' : implode('; ', $walk->meters($step)) }}.</p> @endif
                                    <label><input class="form-check-input" type="checkbox"> as planned</label>
                                </details>
                            </li>
                        @endforeach
                    </ol>
                @endforeach
            </section>
        @endforeach
        <details class="bench-ask"><summary>Show what is hidden</summary><p>{{ $hidden }}.</p></details>
        <p><a href="{{ route('rigs.bench.practise', [$bench->record, 'room' => $seed + 1]) }}">Another room</a></p>
    </main>
</x-page>

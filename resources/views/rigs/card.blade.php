<x-page :title="$card->card->title" class="card-body">
    <main class="card-sheet" x-data="card" data-account="{{ auth()->id() }}" data-card="{{ $card->record->id }} {{ $card->card->key }}"
        data-to="{{ $card->tickUrl() }}" data-ticks="{{ $card->ticksText() }}">
        <header>
            <p><a href="{{ route('rigs.cards', $card->record->id) }}">{{ $card->record->name }}</a></p>
            <h1>{{ $card->card->title }}</h1>
            <p class="quiet">{{ $card->card->for }} · {{ $card->size() }}</p>
        </header>
        <div class="card-progress">
            <progress max="{{ count($card->card->stepKeys()) }}" value="0" aria-label="Done" x-bind:value="done"></progress>
            <p><strong x-text="count"></strong> <span class="quiet" role="status" x-text="says"></span></p>
        </div>
        @foreach ($card->card->sections as $heading => $steps)
            <section>
                <h2>{{ $heading }}</h2>
                <ol>
                    @foreach ($steps as $step)
                        <li data-step="{{ $step->key() }}" @if ($step->waitS > 0) data-wait="{{ $step->waitS }}" @endif>
                            <label>
                                <input type="checkbox" @checked($card->isOn($step)) x-on:change="tick"
                                    @disabled(Gate::denies('test', $card->record))>
                                <span class="step-says">@if ($step->clock() !== '')<span class="figures clock">{{ $step->clock() }}</span>
                                    @endif{{ $step->text }}@if ($step->note !== '') <small>{{ $step->note }}</small>@endif
                                    @if ($step->waitS > 0) <small class="wait">wait {{ $step->waitS }} s</small>@endif</span>
                            </label>
                        </li>
                    @endforeach
                </ol>
            </section>
        @endforeach
        @can('test', $card->record) <footer><button type="button" class="btn btn-sm btn-ink" x-on:click="again">Start over</button></footer>
        @else <footer><p class="quiet">You may look at this rig: ticking takes the role test.</p></footer> @endcan
    </main>
</x-page>

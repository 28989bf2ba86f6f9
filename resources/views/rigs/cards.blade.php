@php use HiddenWire\Core\Rig\Phase; @endphp
<x-rig-frame :page="$page">
    <div class="page cards-page">
        <section class="run-down" aria-labelledby="run-down-title">
            <div class="recipes-head">
                <h2 id="run-down-title">Run-down</h2>
                <a class="btn btn-sm btn-ink" href="{{ $cards->url('run-down') }}">Tick it off</a>
            </div>
            <p class="quiet">Opening and closing the show. Most of it follows from the rig:
                what is switched on and started, and in which order. Write your own steps beside it.</p>
            @php $line = $cards->line(); @endphp
            @if ($line !== null) <x-time-line :line="$line" /> @endif
            @foreach (Phase::cases() as $phase)
                <section class="phase" aria-label="{{ $phase->label() }}">
                    <h3>{{ $phase->label() }}</h3>
                    @if (! $phase->hasWrittenFirst())
                        <ol class="plain-list derived">@foreach ($cards->derivedOf($phase) as $step) <li>{{ $step }}</li> @endforeach</ol>
                    @endif
                    @foreach ($cards->stepsOf($phase) as $step)
                        <div class="own-step" data-row>
                            <x-edit :page="$page" class="row-form" data-save
                                :fields="['edit' => 'show-step', 'step' => $step->id, 'phase' => $phase->value, 'situation' => '']">
                                <input class="step-text" name="text" maxlength="{{ Bounds::STEP }}" required value="{{ $step->text }}"
                                    aria-label="Step {{ $step->text }}">
                                <label>at <input name="at_min" inputmode="numeric" size="4" value="{{ $step->atMin }}"
                                    aria-label="Minutes from the beginning, of {{ $step->text }}"> min</label>
                                <label>wait <input name="wait_s" inputmode="numeric" size="4"
                                    value="{{ $step->waitS === 0 ? '' : $step->waitS }}"
                                    aria-label="Seconds to wait after {{ $step->text }}"> s</label>
                                <button class="do" type="submit">Save<span class="visually-hidden"> {{ $step->text }}</span></button>
                            </x-edit>
                            <x-edit :page="$page" :fields="['edit' => 'move-show-step', 'step' => $step->id, 'up' => '1',
                                'situation' => '']"><button class="plain" type="submit"
                                aria-label="Move {{ $step->text }} up"><i class="bi bi-arrow-up" aria-hidden="true"></i></button></x-edit>
                            <x-edit :page="$page" :fields="['edit' => 'move-show-step', 'step' => $step->id, 'situation' => '']"><button
                                class="plain" type="submit" aria-label="Move {{ $step->text }} down"><i class="bi bi-arrow-down"
                                aria-hidden="true"></i></button></x-edit>
                            <x-edit :page="$page" :fields="['edit' => 'remove-show-step', 'step' => $step->id, 'situation' => '']"><button
                                class="plain" type="submit" aria-label="Remove {{ $step->text }}"><i class="bi bi-trash3"
                                aria-hidden="true"></i></button></x-edit>
                        </div>
                    @endforeach
                    @if ($page->canEdit)
                        <x-edit :page="$page" class="row-form new-step"
                            :fields="['edit' => 'show-step', 'phase' => $phase->value, 'situation' => '']">
                            <input class="step-text" name="text" maxlength="{{ Bounds::STEP }}" required placeholder="New step"
                                aria-label="New step: {{ $phase->label() }}">
                            <label>at <input name="at_min" inputmode="numeric" size="4"
                                aria-label="Minutes from the beginning, of the new step: {{ $phase->label() }}"> min</label>
                            <label>wait <input name="wait_s" inputmode="numeric" size="4"
                                aria-label="Seconds to wait after the new step: {{ $phase->label() }}"> s</label>
                            <button class="do" type="submit">Add<span class="visually-hidden"> to {{ $phase->label() }}</span></button>
                        </x-edit>
                    @endif
                    @if ($phase->hasWrittenFirst())
                        <ol class="plain-list derived">@foreach ($cards->derivedOf($phase) as $step) <li>{{ $step }}</li> @endforeach</ol>
                    @endif
                </section>
            @endforeach
            <p class="quiet">Minutes count from the beginning of the show: −30 is half an hour before.
                How long a unit takes to start is set in Equipment.</p>
        </section>
        <section class="card-list" aria-labelledby="cards-title">
            <h2 id="cards-title">Cards</h2>
            <p class="quiet">One page each, for a phone. Ticks stay without a network, and are sent when there is one.</p>
            @foreach ($cards->kinds as $kind => $titles)
                <h3>{{ $kind }}</h3>
                <ul class="plain-list">@foreach ($titles as $key => $title)
                    <li><a href="{{ $cards->url($key) }}">{{ $title }}</a></li> @endforeach</ul>
            @endforeach
        </section>
    </div>
</x-rig-frame>

@props(['page', 'strip', 'own' => null])
@php $pair = $strip->pair; @endphp
<section class="strip" aria-label="Way strip">
    <div class="strip-head">
        <span class="pen-name pen-{{ $page->penOf($pair->source->id)?->value }}">{{ $pair->source->name }}</span>
        <span class="strip-to">to <strong>{{ $pair->listener->name }}</strong></span>
        <x-verdict :verdict="$pair->verdict" :silent="! $pair->isHeard()" />
        <span class="strip-says">{{ $strip->sentence() }}@if ($strip->lowered !== []); {{ implode('; ', $strip->lowered)
            }}@endif @if ($strip->ownLevel !== null); its own level: {{ $strip->ownLevel }}@endif</span>
        @if ($page->rig->controls !== [])
            @php
                $cell = ['source' => $pair->source->id, 'listener' => $pair->listener->id, 'situation' => $page->situation->id];
                $movedBy = route('rigs.moved-by', [$page->record, ...$cell], false);
            @endphp
            <span class="strip-says strip-moved" x-data="fetched" data-own
                data-key="moved-{{ $page->record->revision }}-{{ implode('-', $cell) }}" data-from="{{ $movedBy }}"><a
                href="{{ $movedBy }}">Moved by …</a></span>
        @endif
        <span class="strip-tools">
            @if ($page->view === 'wiring')
                @if ($pair->arrivals() !== [])
                    <a data-key-focus href="{{ $page->url(['focus' => $page->focus ? null : '1']) }}" @if ($page->focus)
                        aria-current="true" @endif>{{ $page->focus ? 'Show all' : 'Only this way' }}</a>
                @endif
            @else
                <a href="{{ $page->url([], 'wiring') }}">Show on the map</a>
            @endif
            <a href="{{ $page->url([], 'faults') }}" title="Where it is heard otherwise in the room">Find a fault</a>
            <a data-key-close href="{{ $page->url(['pair' => null, 'focus' => null, 'pens' => implode(',', array_diff($page->pens,
                [$pair->source->id]))]) }}" aria-label="Close this signal path"><i class="bi bi-x-lg" aria-hidden="true"></i></a>
        </span>
    </div>
    @if ($page->view === 'wishes')
        @php
            $wanted = $pair->wish?->want->value ?? 'none';
        @endphp
        <x-edit :page="$page" class="wish-form" :fields="['edit' => 'wish', 'situation' => $page->scopeSituation()]">
            <span class="wish-buttons" role="group" aria-label="Wish for {{ $pair->source->name }} at {{ $pair->listener->name }}">
                @foreach (App\ViewModels\Brush::cases() as $want)
                    <button type="submit" name="want" value="{{ $want->value }}" data-key-wish="{{ $want->key() }}"
                        aria-pressed="{{ $want->value === $wanted ? 'true' : 'false' }}">{{ $want->label() }}
                        <kbd aria-hidden="true">{{ $want->key() }}</kbd></button>
                @endforeach
            </span>
            <label>for <select name="source"><option value="{{ $pair->source->id }}">{{ $pair->source->name }}</option><option
                value="*">every sound</option></select></label>
            <label>at <select name="listener"><option value="{{ $pair->listener->id }}">{{ $pair->listener->name }}</option><option
                value="*">every listener</option></select></label>
            <span class="quiet">in {{ $page->scopeSituation() === '' ? 'all situations'
                : "{$page->situation->name} only" }}@if ($pair->wish !== null && $pair->wish->situations !== []);
                now a wish of {{ $page->situation->name }} only @endif</span>
        </x-edit>
        @if ($pair->wish !== null)
            <x-edit :page="$page" class="wish-form wish-marks"
                :fields="['edit' => 'mark-wish', 'source' => $pair->source->id, 'listener' => $pair->listener->id, 'situation' => '']">
                <label>own level <select name="own_level" data-auto><option
                    value="">not needed</option>@foreach (\HiddenWire\Core\Rig\Apart::cases() as $case)
                    <option value="{{ $case->value }}" @selected($pair->wish->ownLevel === $case)>apart from other {{
                        $case === \HiddenWire\Core\Rig\Apart::Both ? 'listeners and sounds' : $case->value }}</option>
                    @endforeach</select></label>
                <label class="tick"><input type="checkbox" name="alone" value="1" data-auto @checked($pair->wish->alone)> alone here</label>
                <label>side <select name="side" data-auto><option
                    value="">default</option>@foreach (\HiddenWire\Core\Rig\Side::cases() as $case)
                    <option value="{{ $case->value }}" @selected($pair->wish->side === $case)>{{ $case->value }} only</option>
                    @endforeach</select></label>
                <label>sound <select name="treatment"
                    data-auto><option value="">dry or processed</option>@foreach (\HiddenWire\Core\Rig\Treatment::cases() as $case)
                    <option value="{{ $case->value }}" @selected($pair->wish->treatment === $case)>{{ $case->value }}</option>
                    @endforeach</select></label>
                @if ($pair->wish->want === \HiddenWire\Core\Rig\Want::MustNot)
                    <label>fine up to <input type="number" name="up_to_db" min="-60" max="0" step="1" data-auto
                        value="{{ $pair->wish->upToDb?->number() }}" placeholder="none"> dB</label>
                @else
                    <label class="tick"><input type="checkbox" name="stereo" value="1" data-auto @checked($pair->wish->stereo)>
                        in stereo</label>
                @endif
            </x-edit>
        @endif
    @endif
    @foreach ($strip->ways as $number => $steps)
        @php $arrival = $pair->arrivals()[$number]; @endphp
        <div class="way">
            <span class="way-number"><span class="visually-hidden">Path </span>{{ $number + 1 }}</span>
            <ol class="way-steps">
                @foreach ($steps as $number => $step)
                    @php $figures = $step->figures($steps[$number - 1] ?? null); @endphp
                    <li class="realm-{{ $step->realm->value }} @if ($step->changes) changes @endif">
                        <a href="{{ $page->url(['select' => $step->select], 'wiring') }}">
                            <span class="step-title">{{ $step->title }}</span>
                            @if ($step->inside !== [])
                                <span class="step-detail">@foreach ($step->inside as $i => $point)@if ($i > 0) → @endif{{ $point['name']
                                    }}@if ($point['fader'] !== null)<span class="governs" title="This fader sets the level">
                                    fader {{ $point['fader'] }}</span>@endif @endforeach</span>
                            @endif
                            @if ($figures !== '') <span class="figures">{{ $figures }}</span> @endif
                        </a>
                    </li>
                @endforeach
            </ol>
            <span class="way-end"><strong>{{ $pair->listener->name }}</strong>
                <span class="figures">{{ $arrival->gain->text() }} dB · {{ $arrival->delay->text() }} ms · {{ $arrival->channels()
                }}</span></span>
        </div>
    @endforeach
    @foreach ($strip->doubts as $doubt) <p class="strip-note"><span class="gap-label">Hangs on</span> {{ $doubt }}</p> @endforeach
    @if ($pair->isCapped()) <p class="strip-note">There are more ways than are listed here; the verdict takes all of them into account.</p>
        @endif
    @if ($own !== null) <x-own-slot :page="$page" :own="$own" :pair="$pair" /> @endif
    @if ($strip->reach !== null)
        <p class="strip-note"><span class="gap-label">It gets as far as</span> <strong>{{ $strip->reach->last }}</strong>.
            @if ($strip->reach->listeners === []) Nobody hears it. @else Heard by {{ implode(', ',
            array_map(fn ($listener) => $listener->name, $strip->reach->listeners)) }}. @endif</p>
    @endif
    @if ($strip->causes !== [])
        <div class="strip-causes">
            @foreach ($strip->causes as $i => $cause) <x-cause :page="$page" :cause="$cause" :number="$i + 1" :cells="false" /> @endforeach
        </div>
    @elseif ($pair->verdict->isAtOdds() && $page->causes === null && $page->view === 'wiring')
        <p class="strip-note" x-data="causes" data-key="causes-{{ $page->record->revision }}"
            data-causes="{{ route('rigs.causes', $page->record) }}" role="status">Looking for the cause …</p>
    @endif
</section>

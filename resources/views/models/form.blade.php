@php
    use HiddenWire\Core\Equipment\Connector;
    use HiddenWire\Core\Equipment\Family;
    use HiddenWire\Core\Equipment\PointKind;
    $words = fn (BackedEnum $case) => str_replace('-', ' ', (string) $case->value);
@endphp
<x-page :title="$form->title()" class="shelf">
    <header class="top">
        <x-brand />
        <h1>{{ $form->title() }}</h1>
        <nav aria-label="Elsewhere"><a href="{{ route('models') }}">Own models</a> · <a href="{{ route('catalogue') }}">Catalogue</a></nav>
        <div class="top-end"><x-account /></div>
    </header>
    <main class="model-page">
        <form class="model-form" method="post" action="{{ $form->action() }}" x-data="sketch" x-on:input="typed"
            data-sketch="{{ route('models.drawing') }}">
            @csrf @if ($form->own !== null) @method('put') @endif
            <input type="hidden" name="base" value="{{ $form->base }}">
            <div class="model-head">
                <label>Name <input class="form-control" name="name" maxlength="{{ Bounds::NAME }}" required
                    value="{{ $form->head['name'] }}"></label>
                <label>Family <select class="form-select" name="family">@foreach (Family::cases() as $case)
                    <option value="{{ $case->value }}" @selected($case->value === $form->head['family'])>{{ $words($case) }}</option>
                    @endforeach</select></label>
                <label class="wide">What it does <input class="form-control" name="summary" maxlength="{{ Bounds::MODEL_SUMMARY }}"
                    value="{{ $form->head['summary'] }}"></label>
            </div>
            <h2>Points: where a signal enters, is set, is summed, or leaves</h2>
            <table class="rows" data-rows="points">
                <thead><tr><th scope="col">Label</th><th scope="col">Kind</th><th scope="col">Channels</th><th scope="col">Gain</th><th
                    scope="col">Fader</th><th scope="col">Mute</th><th scope="col">Mono</th><th scope="col">Polarity</th></tr></thead>
                <tbody>
                    @foreach ($form->rows('points') as $i => $row)
                        <tr>
                            <td><input type="hidden" name="points[{{ $i }}][id]"
                                value="{{ $row['id'] ?? '' }}"><input name="points[{{ $i }}][label]" value="{{ $row['label'] ?? '' }}"
                                aria-label="Label of point {{ $i + 1 }}"></td>
                            <td><select name="points[{{ $i }}][kind]"
                                aria-label="Kind of point {{ $i + 1 }}">@foreach (PointKind::cases() as $case)
                                <option @selected($case->value === ($row['kind'] ?? 'strip'))>{{ $case->value }}</option>
                                @endforeach</select></td>
                            <td><input type="number" min="1" max="{{ Bounds::CHANNELS }}" name="points[{{ $i }}][channels]"
                                value="{{ $row['channels'] ?? '2' }}" aria-label="Channels of point {{ $i + 1 }}"></td>
                            @foreach (['gain', 'fader', 'mute', 'mono', 'inverted'] as $key)
                                <td><input type="checkbox" name="points[{{ $i }}][{{ $key }}]" value="1" @checked(($row[$key] ?? '') !== '')
                                aria-label="{{ $key === 'inverted' ? 'Polarity switch' : ucfirst($key) }} on point {{ $i + 1 }}"></td>
                                @endforeach
                        </tr>
                    @endforeach
                </tbody>
            </table>
            <h2>Sockets: each signal that one carries is a row; rows of one label are one socket</h2>
            <table class="rows" data-rows="lanes">
                <thead><tr><th scope="col">Socket</th><th scope="col">Connector</th><th scope="col">Way</th><th scope="col">Point</th><th
                    scope="col">A computer lists it as</th></tr></thead>
                <tbody>
                    @foreach ($form->rows('lanes') as $i => $row)
                        <tr>
                            <td><input type="hidden" name="lanes[{{ $i }}][socket]" value="{{ $row['socket'] ?? '' }}"><input type="hidden"
                                name="lanes[{{ $i }}][lane]" value="{{ $row['lane'] ?? '' }}"><input name="lanes[{{ $i }}][label]"
                                value="{{ $row['label'] ?? '' }}" aria-label="Socket of signal {{ $i + 1 }}"></td>
                            <td><select name="lanes[{{ $i }}][connector]"
                                aria-label="Connector of signal {{ $i + 1 }}">@foreach (Connector::cases() as $case)
                                <option value="{{ $case->value }}" @selected($case->value === ($row['connector']
                                ?? 'trs-3.5'))>{{ $case->words() }}</option> @endforeach</select></td>
                            <td><select name="lanes[{{ $i }}][way]" aria-label="Way of signal {{ $i + 1 }}">@foreach (['in', 'out'] as $way)
                                <option @selected($way === ($row['way'] ?? ''))>{{ $way }}</option> @endforeach</select></td>
                            <td><input name="lanes[{{ $i }}][point]" value="{{ $row['point'] ?? '' }}" list="point-labels"
                                aria-label="Point of signal {{ $i + 1 }}"></td>
                            <td><select name="lanes[{{ $i }}][device]"
                                aria-label="Device of signal {{ $i + 1 }}">@foreach (['' => 'no device', 'playback' => 'playback',
                                'recording' => 'recording'] as $value => $text) <option value="{{ $value }}"
                                @selected($value === ($row['device'] ?? ''))>{{ $text }}</option> @endforeach</select></td>
                        </tr>
                    @endforeach
                </tbody>
            </table>
            <h2>Routes: what leads where inside</h2>
            <table class="rows" data-rows="routes">
                <thead><tr><th scope="col">From</th><th scope="col">To</th><th scope="col">On when new</th><th
                    scope="col">Can be switched</th><th scope="col">Level can be set</th></tr></thead>
                <tbody>
                    @foreach ($form->rows('routes') as $i => $row)
                        <tr>
                            @foreach (['from', 'to'] as $key) <td><input name="routes[{{ $i }}][{{ $key }}]" value="{{ $row[$key] ?? '' }}"
                                list="point-labels" aria-label="Route {{ $i + 1 }} {{ $key }}"></td> @endforeach
                            @foreach (['on' => 'On when new', 'can_on' => 'Can be switched',
                                'can_db' => 'Level can be set'] as $key => $text) <td><input type="checkbox"
                                name="routes[{{ $i }}][{{ $key }}]" value="1" @checked(($row[$key] ?? ($key === 'on' ? '1' : '')) !== '')
                                aria-label="Route {{ $i + 1 }}: {{ $text }}"></td> @endforeach
                        </tr>
                    @endforeach
                </tbody>
            </table>
            <datalist id="point-labels">@foreach ($form->pointLabels() as $label)
                <option value="{{ $label }}"></option> @endforeach</datalist>
            <button class="btn btn-ink" type="submit">Save the model</button>
        </form>
        <section class="model-live" aria-label="The model as it is written" aria-live="polite" data-sketched>
            @if ($form->problems !== []) @include('models.problems', ['problems' => $form->problems]) @elseif ($form->drawing !== null)
                <x-model-drawing :drawing="$form->drawing" /> @else <p class="quiet">It is drawn here as you type.</p> @endif
        </section>
    </main>
    <x-keys />
</x-page>

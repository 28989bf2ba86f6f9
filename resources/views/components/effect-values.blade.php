@props(['effect', 'name', 'others'])
{{-- What a hand sets at an effect, of what its kind has. --}}
@php
    $sets = $effect->kind->sets();
    $numbers = [
        'highPassHz' => ['high_pass_hz', 'High-pass, Hz', Bounds::CUTOFF_HZ, '1', $effect->values?->highPassHz],
        'threshold' => ['threshold_db', 'Threshold, dBFS', Bounds::THRESHOLD_DB, '0.5', $effect->values?->threshold?->number()],
        'ratio' => ['ratio', 'Ratio, to 1', Bounds::RATIO, '0.1', $effect->values?->ratio],
        'makeUp' => ['make_up_db', 'Make-up gain, dB', Bounds::MAKE_UP_DB, '0.5', $effect->values?->makeUp?->number()],
        'lowers' => ['lowers_db', 'Lowers by, dB', Bounds::LOWERS_DB, '0.5', $effect->values?->lowers?->number()],
        'hold' => ['hold_ms', 'Hold, ms', Bounds::EFFECT_MS, '1', $effect->values?->hold?->number()],
    ];
    $bands = array_map(fn (array $band) => "{$band['hz']} {$band['db']}", $effect->values?->bands ?? []);
@endphp
@if ($sets !== [])
    <input type="hidden" name="with_values" value="1">
    @foreach (array_intersect_key($numbers, array_flip($sets)) as [$field, $label, [$least, $most], $step, $value])
        <label>{{ $label }} <input type="number" name="{{ $field }}" min="{{ $least }}" max="{{ $most }}" step="{{ $step }}"
            value="{{ $value }}"></label>
    @endforeach
    @if (in_array('bands', $sets, true))
        <label>Bands, Hz and dB <input name="bands" maxlength="{{ Bounds::BANDS_TEXT }}" placeholder="250 -3, 4000 2.5"
            value="{{ implode(', ', $bands) }}"></label> @endif
    @if (in_array('by', $sets, true))
        <label>While there is sound at
            <select name="ducked_by[]" multiple size="4" aria-label="What lowers by {{ $name }}">@foreach ($others as $id => $label)
            <option value="{{ $id }}" @selected(in_array($id, $effect->values?->by ?? [], true))>{{ $label }}</option>
            @endforeach</select></label> @endif
@endif

@props(['page', 'program', 'pick'])
@php
    use HiddenWire\Core\Quantity\Count;
    use HiddenWire\Core\Rig\DriverMode;
    $name = "{$program->name}, {$pick['point']->label}";
    $more = $pick['also'] === [] ? '' : count($pick['also']).' more at once';
    $says = implode(', ', array_filter([$pick['mode'], $more, $pick['level']['says'] ?? '']));
@endphp
{{-- What else there is to a pick: how it is opened, what else is taken, its level in the system, what is not offered. --}}
@if ($pick['heldBy'] !== '') <p class="form-trouble">{{ $pick['heldBy'] }} has this device for itself: nothing comes through.</p> @endif
@if ($pick['isPicked'])
    <details class="stock-more program-level" data-keep>
        <summary>{{ $says === '' ? 'more' : $says }}<span class="visually-hidden"> of {{ $name }}</span></summary>
        <x-edit :page="$page" class="row-form" data-save
            :fields="['edit' => 'pick-opens', 'unit' => $program->id, 'point' => $pick['point']->id]">
            <label>Opens it <select name="mode" aria-label="How {{ $name }}, opens its device"><option
                value="">as the device is set</option>@foreach (DriverMode::cases() as $mode)
                <option value="{{ $mode->value }}" @selected($pick['mode'] === $mode->value)>{{ $mode->value }}</option>
                @endforeach</select></label>
            @if ($pick['alsoChoices'] !== []) <input type="hidden" name="with_also" value="1"><label>Takes at once
                <select name="also[]" multiple size="3" aria-label="Further devices of {{ $name }}">@foreach ($pick['alsoChoices']
                as $ref => $device) <option value="{{ $ref }}" @selected(in_array((string) $ref, $pick['also'],
                true))>{{ $device }}</option> @endforeach</select></label> @endif
            <button class="do" type="submit">Save<span class="visually-hidden"> how {{ $name }}, opens its device</span></button>
        </x-edit>
        @if ($pick['level'] !== null)
            <x-edit :page="$page" class="row-form" data-save
                :fields="['edit' => 'program-level', 'unit' => $program->id, 'point' => $pick['point']->id]">
                <label>Level in the system, dB <input type="number" name="db" min="{{ Bounds::SYSTEM_DB[0] }}"
                    max="{{ Bounds::SYSTEM_DB[1] }}" step="0.5" value="{{ $pick['level']['db'] }}"
                    aria-label="Level of {{ $name }}, in the system, dB"></label>
                <label class="tick"><input type="checkbox" name="mute" value="1" @checked($pick['level']['mute'])> muted</label>
                <button class="do" type="submit">Save<span class="visually-hidden"> the level of {{ $name }}</span></button>
            </x-edit>
        @endif
    </details>
@endif
@if ($pick['chosen'] !== '' && $pick['now'] !== '') <p class="quiet">chosen {{ $pick['chosen'] }}</p> @endif
@if ($pick['notOffered'] !== [])
    <details class="stock-more" data-keep>
        <summary>{{ Count::of(count($pick['notOffered']), 'device') }} not available<span class="visually-hidden">
            for {{ $name }}</span></summary>
        <dl class="other-ways">@foreach ($pick['notOffered'] as $device => $way) <dt>{{ $device }}</dt><dd>{{ $way }}</dd> @endforeach</dl>
    </details>
@endif

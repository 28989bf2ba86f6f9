@props(['control'])
{{-- A control: its position, and its label as printed. --}}
@php
    use HiddenWire\Core\Equipment\ControlKind;
    $share = ($control->position ?? 50) / 100;
    $angle = deg2rad(-225 + 270 * $share);
@endphp
<figure class="hand hand-{{ $control->kind->value }}">
    <svg viewBox="0 0 72 40" aria-hidden="true">
        @switch ($control->kind)
            @case (ControlKind::Fader)
                <path class="way" d="M6 20h60" />@foreach ([6, 21, 36, 51, 66] as $x) <path class="mark" d="M{{ $x }} 26v5" /> @endforeach
                @if ($control->position !== null) <path class="stands" d="M{{ round(6 + 60 * $share, 1) }} 9v22" /> @endif
                @break
            @case (ControlKind::Knob)
            @case (ControlKind::Dial)
                <circle class="way" cx="36" cy="20" r="15" />@if ($control->position !== null) <path class="stands" d="M36 20L{{
                    round(36 + 15 * cos($angle), 1) }} {{ round(20 + 15 * sin($angle), 1) }}" /> @endif
                @break
            @case (ControlKind::Footswitch) <path class="way" d="M14 32L20 12h32l6 20zM4 32h64" /> @break
            @case (ControlKind::Shortcut) <path class="way" d="M10 8h22v22H10zM40 8h22v22H40zM33 19h6" /> @break
            @case (ControlKind::Pad) <path class="way" d="M18 4h36v32H18zM23 9h26v22H23z" /> @break
            @default <path class="way" d="M18 8h36v24H18z" />
        @endswitch
    </svg>
    <figcaption>{{ $control->legend === '' ? ' ' : $control->legend }}</figcaption>
</figure>

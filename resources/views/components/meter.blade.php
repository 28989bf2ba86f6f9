@props(['meter'])
{{-- A horizontal meter: zones or printed marks above the line, a notch at a usual level, a wedge for each sound. --}}
<svg class="meter" viewBox="0 -2 {{ $meter::WIDTH }} 34" width="{{ $meter::WIDTH }}" height="34" aria-hidden="true">
    <path class="meter-line" d="M0,18H{{ $meter::WIDTH }}"/>
    @foreach ($meter->zones as $i => $zone)
        <rect @class(['zone', 'zone-last' => $zone['isLast']]) x="{{ $zone['x'] }}" y="12" width="{{ $zone['width'] }}" height="6"
            opacity="{{ $zone['isLast'] ? 1 : 0.3 + 0.25 * $i }}"/>
        <text x="{{ $zone['x'] + 2 }}" y="9">{{ $zone['name'] }}</text>
    @endforeach
    @foreach ($meter->ticks as $tick) <path class="meter-line" d="M{{ $tick['x'] }},12V18"/><text x="{{ $tick['x'] }}" y="9"
        text-anchor="middle">{{ $tick['text'] }}</text> @endforeach
    <path class="meter-usual" d="M{{ $meter->usual }},11V25"/>
    @foreach ($meter->sounds as $sound) <path class="meter-mark" d="M{{ $sound['x'] }},19l4,9h-8Z"><title>{{ $sound['name'] }}: {{
        $sound['reading'] }}</title></path> @endforeach
</svg>

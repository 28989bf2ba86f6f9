@props(['line'])
{{-- A run-down on a line: time to the right, each step on its row below the moment when it is due. --}}
<svg class="time-line" viewBox="0 0 {{ $line::WIDTH }} {{ $line->height }}" width="{{ $line::WIDTH }}" height="{{ $line->height }}"
    role="img" aria-label="{{ implode('; ', array_map(fn ($row) => "{$row['clock']} {$row['text']}", $line->rows)) }}">
    <path class="axis" d="M0,22H{{ $line::WIDTH }}"/>
    @foreach ($line->marks as $mark) <path class="axis" d="M{{ $mark['x'] }},17V22"/><text class="clock" x="{{ $mark['x'] }}" y="12"
        text-anchor="middle">{{ $mark['text'] }}</text> @endforeach
    <path class="begins" d="M{{ $line->start }},16V{{ $line->height }}"/>
    @foreach ($line->rows as $row)
        @php $y = $row['y'] + 8; $side = $row['isLeft'] ? -1 : 1; @endphp
        <path class="guide" d="M{{ $row['x'] }},22V{{ $y }}"/><circle cx="{{ $row['x'] }}" cy="{{ $y }}" r="4"/>
        <text x="{{ $row['x'] + 10 * $side }}" y="{{ $y + 4 }}" text-anchor="{{ $row['isLeft'] ? 'end' : 'start' }}"><tspan
            class="clock">{{ $row['clock'] }}</tspan> {{ $row['text'] }}</text>
    @endforeach
</svg>

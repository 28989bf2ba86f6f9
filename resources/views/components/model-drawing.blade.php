@props(['drawing'])
{{-- An equipment model as a plate: its sockets on the edge, what joins inside when it is new. --}}
<div class="catalogue-drawing" tabindex="0" role="region" aria-label="Drawing">
<svg class="map" width="{{ $drawing->width() * 1.3 }}" height="{{ $drawing->height() * 1.3 }}"
    viewBox="0 0 {{ $drawing->width() }} {{ $drawing->height() }}" role="img"
    aria-label="Sockets and insides of {{ $drawing->model->name }}">
    <g class="plate @if ($drawing->model->isProgram()) program @endif">
        <rect class="plate-body" x="20" y="8" width="{{ $drawing->plate->width() }}" height="{{ $drawing->plate->height() }}" rx="2"/>
        <text class="plate-name" x="29" y="25">{{ $drawing->model->name }}</text>
        <text class="plate-caption" x="29" y="38">{{ $drawing->plate->caption }}</text>
        <path class="plate-rule" d="M20,45.5 h{{ $drawing->plate->width() }}"/>
        @foreach ($drawing->plate->insides as [$from, $to, $passes]) <path class="inside @if (! $passes) off @endif"
            d="{{ $drawing->insidePath($from, $to) }}"/> @endforeach
        @foreach ([...$drawing->plate->left, ...$drawing->plate->right] as $port)
            <x-port :port="$port" :x="$drawing->spot($port)['x']" :y="$drawing->spot($port)['y']" />
        @endforeach
    </g>
</svg>
</div>

@props(['map'])
<svg class="small-map" viewBox="0 0 {{ $map['width'] ?? 320 }} {{ $map['height'] ?? 170 }}" aria-hidden="true">
    @if ($map === null)
        <path class="small-wire" d="M20,110 H130 Q150,110 150,90 V80 Q150,60 170,60 H300" />
    @else
        @foreach ($map['boxes'] as $id => [$x, $y, $w, $h]) @if (str_starts_with($id, 'place:'))
            <rect class="small-place" x="{{ $x }}" y="{{ $y }}" width="{{ $w }}" height="{{ $h }}" rx="8" /> @endif @endforeach
        @foreach ($map['edges'] as $edge) <path class="small-wire" d="{{ App\ViewModels\MapDrawing::path($edge['points'], 14) }}"
            /> @endforeach
        @foreach ($map['boxes'] as $id => [$x, $y, $w, $h]) @if (str_starts_with($id, 'unit:'))
            <rect class="small-unit" x="{{ $x }}" y="{{ $y }}" width="{{ $w }}" height="{{ $h }}" /> @endif @endforeach
    @endif
</svg>

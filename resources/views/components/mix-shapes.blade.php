@props(['scale'])
{{-- What all mixes of a unit share: the lines of their scale, its figures, the ring of a dial. --}}
<svg class="mix-shapes" width="0" height="0" aria-hidden="true">
    <g id="mix-lines">@foreach ($scale->lines as $line)<path class="mix-line" d="M{{ $line['x'] }},0V28"/>@endforeach<path class="mix-zero"
        d="M{{ $scale->zero }},0V28"/></g>
    <g id="mix-figures">@foreach ($scale->lines as $line) @if ($line['text'] !== '')<text class="mix-figure"
        x="{{ max(11, min($scale::WIDTH - 8, $line['x'])) }}" y="11" text-anchor="middle">{{ $line['text'] }}</text>@endif @endforeach</g>
    <g id="dial-ring"><circle r="8.5"/><path d="M-8.5,8.5l-2,2M8.5,8.5l2,2M0,-10.5v-2M-10.5,0h-2M10.5,0h2"/></g>
</svg>

@props(['page', 'drawing'])
@php
    use App\ViewModels\MapDrawing;
    use HiddenWire\Core\Equipment\Realm;
    $map = $drawing->map;
    $geometry = $drawing->geometry;
    $fades = $page->focus && $drawing->isHighlighted();
    $width = fn (array $pens, int $i): int => 9 + 7 * (count($pens) - 1 - $i);
@endphp
<div class="map-window" x-data="map" data-key="map-{{ $map->depth->value }}" @if ($page->canEdit && $map->depth->showsFreeSockets())
    data-plugs @endif data-map="{{ $page->record->id }}-{{ $map->depth->value }}" tabindex="0" role="region"
    aria-label="Map of {{ $page->rig->name }}, {{ $map->depth->label() }}">
<svg x-ignore class="map @if ($fades) fades @endif @if ($page->grounds !== null) with-grounds @endif" width="{{ $geometry->width }}"
    height="{{ $geometry->height }}" viewBox="0 0 {{ $geometry->width }} {{ $geometry->height }}" role="group">
    @foreach ($map->plates as $place => $plates)
        @if ($plates !== [])
            @php [$x, $y, $w, $h] = $geometry->boxes["place:{$place}"]; @endphp
            <g class="place" data-place="{{ $place }}">
                <rect x="{{ $x }}" y="{{ $y }}" width="{{ $w }}" height="{{ $h }}" rx="6"/>
                <text class="place-name" x="{{ $x + 12 }}" y="{{ $y + 21 }}">{{ $page->rig->places[$place]->name }}</text>
                <text class="place-kind" x="{{ $x + $w - 12 }}" y="{{ $y + 20 }}"
                    text-anchor="end">{{ $page->rig->places[$place]->kind->value }}</text>
            </g>
        @endif
    @endforeach
    <g class="pens-on-lines" aria-hidden="true">
        @foreach ($map->edges as $edge)
            @foreach ($drawing->edgePens[$edge->id] ?? [] as $i => $pen)
                <path class="pen-stroke pen-{{ $pen->value }}" stroke-width="{{ $width($drawing->edgePens[$edge->id], $i) }}"
                    d="{{ MapDrawing::path($geometry->lines[$edge->id]['points']) }}"/>
            @endforeach
        @endforeach
    </g>
    @if ($drawing->evidenceEdges !== [])
        <g class="evidence" aria-hidden="true">
            @foreach ($map->edges as $edge)
                @if (isset($drawing->evidenceEdges[$edge->id])) <path class="evidence-stroke"
                    d="{{ MapDrawing::path($geometry->lines[$edge->id]['points']) }}"/> @endif
            @endforeach
        </g>
    @endif
    @foreach ($map->edges as $edge)
        @php
            $line = $geometry->lines[$edge->id];
            $path = MapDrawing::path($line['points']);
            [$kind, $id] = explode(':', $edge->id, 2);
            $isLit = isset($drawing->edgePens[$edge->id]);
            $isSelected = $kind === 'cable' && $page->selectedCable === $id;
            $href = $kind === 'cable' ? $page->url(['select' => $isSelected ? null : $edge->id])
                : $page->url(['select' => 'unit:'.strstr($id, '/', true)]);
        @endphp
        <a @class(['line', 'lit' => $isLit, 'selected' => $isSelected, 'dead' => ! $edge->carries, $page->grounds?->classOf($edge->id)
            ?? '', $drawing->inOutage($page->outage, $edge->id)]) href="{{ $href }}"
            @if ($kind !== 'cable') tabindex="-1" @endif>
            <title>{{ $edge->words }}</title>
            <defs><path id="e{{ $loop->index }}" d="{{ $path }}"/></defs><use class="reach" href="#e{{ $loop->index }}"/><use
                class="wire realm-{{ $edge->realm->value }}" href="#e{{ $loop->index }}"/>@if ($edge->realm === Realm::Digital)<use
                class="wire-core" href="#e{{ $loop->index }}"/>@endif
            @foreach ($drawing->returnMarks($edge) as [$mx, $my]) <path class="return-mark"
                d="M{{ $mx + 4 }},{{ $my - 5 }} L{{ $mx - 5 }},{{ $my }} L{{ $mx + 4 }},{{ $my + 5 }} Z"/> @endforeach
            @if ($line['label'] !== null)
                @php [$lx, $ly, $lw, $lh] = $line['label']; @endphp
                <rect class="label-plate" x="{{ $lx }}" y="{{ $ly }}" width="{{ $lw }}" height="{{ $lh }}" rx="2"/>
                <text class="label" x="{{ $lx + $lw / 2 }}" y="{{ $ly + 11 }}" text-anchor="middle">{{ $edge->label }}</text>
            @endif
        </a>
    @endforeach
    @foreach ($map->plates as $plates)
        @foreach ($plates as $plate)
            @php
                [$x, $y, $w, $h] = $geometry->boxes["unit:{$plate->unit}"];
                $isSelected = $page->selectedUnit === $plate->unit;
            @endphp
            <g @class(['plate', 'program' => $plate->isProgram, 'selected' => $isSelected, 'lit' => isset($drawing->touched[$plate->unit]),
                'evident' => isset($drawing->evidenceUnits[$plate->unit]),
                $drawing->inOutage($page->outage, "unit:{$plate->unit}")])>
                <a class="plate-open" href="{{ $page->url(['select' => $isSelected ? null : "unit:{$plate->unit}"]) }}"
                    data-unit="{{ $plate->unit }}" @if ($isSelected) aria-current="true" @endif>
                    <rect class="plate-body" x="{{ $x }}" y="{{ $y }}" width="{{ $w }}" height="{{ $h }}" rx="2"/>
                    <text class="plate-name" x="{{ $x + 9 }}" y="{{ $y + 17 }}">{{ $plate->name }}</text>
                    <text class="plate-caption" x="{{ $x + 9 }}" y="{{ $y + 30 }}">{{ $plate->shortCaption() }}</text>
                    @if ($page->grounds?->isEarthed($plate->unit)) <path class="earth-sign"
                        transform="translate({{ $x + $w - 13 }} {{ $y + 20 }})"
                        d="M0,0 V7 M-7,7 H7 M-4.5,10.5 H4.5 M-2,14 H2"/><title>has an earth pin</title> @endif
                    <path class="plate-rule" d="M{{ $x }},{{ $y + 37.5 }} H{{ $x + $w }}"/>
                    @foreach ($plate->insides as [$from, $to, $passes])
                        @foreach ($drawing->insidePens["{$from} {$to}"] ?? [] as $i => $pen)
                            <path class="pen-stroke pen-{{ $pen->value }}" stroke-width="{{ $width($drawing->insidePens["{$from} {$to}"],
                            $i) - 3 }}" d="{{ $drawing->insidePath($from, $to, true) }}"/> @endforeach
                        <path class="inside @if (! $passes) off @endif" d="{{ $drawing->insidePath($from, $to) }}"/>
                    @endforeach
                </a>
                @foreach ([...$plate->left, ...$plate->right] as $port)
                    @php [$px, $py] = [$drawing->ports[$port->id]['x'], $drawing->ports[$port->id]['y']]; @endphp
                    @if ($port->kind !== 'socket') <x-port :port="$port" :x="$px" :y="$py" />
                    @else
                        {{-- A socket is picked up by a click; while one is, the others say whether they take the other end. --}}
                        @php $stands = $page->joins?->stands($port->id); @endphp
                        <a @class(['port', "port-{$stands}" => $stands !== null]) tabindex="-1" data-port="{{ $port->id }}"
                            href="{{ $stands === null ? strstr($page->connectUrl($port->id), '?')
                            : $page->url($stands === 'here' ? ['select' => null] : ['with' => $port->id]) }}"
                            @if ($stands === 'fits' && $page->canEdit) data-plug="{{ $port->id }}" @endif>
                            @if ($stands !== null) <title>{{ $port->label }}: {{ $page->joins->says($port->id) }}</title> @endif
                            <rect class="port-reach" x="{{ $port->isOut ? $px - 12 - $port->labelWidth() : $px - 7 }}" y="{{ $py - 8 }}"
                                width="{{ round($port->labelWidth() + 19, 1) }}"/>
                            <x-port :port="$port" :x="$px" :y="$py" />
                        </a>
                    @endif
                @endforeach
            </g>
        @endforeach
    @endforeach
    <g class="pen-ends" aria-hidden="true">
        @foreach ($drawing->ends as $port => $pens)
            @if (isset($drawing->ports[$port]))
                @foreach ($pens as $i => $pen)
                    <path class="pen-end pen-{{ $pen->value }}"
                        transform="translate({{ $drawing->ports[$port]['x'] + ($drawing->ports[$port]['port']->isOut ? 15 + 15 * $i
                        : -13 - 15 * $i) }} {{ $drawing->ports[$port]['y'] }})" d="{{ $pen->mark() }}"/>
                @endforeach
            @endif
        @endforeach
    </g>
</svg>
<div class="map-tag" data-own aria-hidden="true" hidden></div>
</div>

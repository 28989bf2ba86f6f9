@props(['port', 'x', 'y'])
{{-- A socket, device or point on a plate's edge: outs point outward, ins are square; what is no socket is hollow. --}}
@php $classes = ['socket', $port->kind => $port->kind !== 'socket', 'free' => $port->isFree]; @endphp
@if ($port->isOut)
    <path @class($classes) d="M{{ $x - 3 }},{{ $y - 4 }} h4 l4,4 l-4,4 h-4 Z"/>
    <text class="socket-name" x="{{ $x - 9 }}" y="{{ $y + 4 }}" text-anchor="end">{{ $port->label }}</text>
@else
    <rect @class($classes) x="{{ $x - 4 }}" y="{{ $y - 4 }}" width="8" height="8"/>
    <text class="socket-name" x="{{ $x + 9 }}" y="{{ $y + 4 }}">{{ $port->label }}</text>
@endif

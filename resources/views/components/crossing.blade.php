@props(['page', 'unit', 'key', 'on', 'fixed', 'name', 'end' => false])
{{-- Where a lane crosses a track: a knot where they are joined, and a button that joins or parts them. --}}
@if ($fixed) <span @class(['knot', 'is-on' => $on, 'knot-end' => $end])><span class="visually-hidden">{{ $name }}: {{ $on ? 'on' : 'off'
    }}</span></span> @else
<x-edit :page="$page" :fields="['edit' => 'route', 'unit' => $unit, 'route' => $key, 'on' => $on ? '0' : '1']"><button type="submit"
    @class(['knot', 'is-on' => $on, 'knot-end' => $end]) aria-pressed="{{ $on ? 'true' : 'false' }}" title="{{ $name }}"><span
    class="visually-hidden">{{ $name }}</span></button></x-edit>
@endif

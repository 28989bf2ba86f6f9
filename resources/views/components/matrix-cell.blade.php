@props(['page', 'unit', 'route', 'name', 'words' => 'on'])
{{-- One crossing of a matrix: whether what comes in goes out there; a button where it can be switched. --}}
@if ($route->allows(HiddenWire\Core\Equipment\RouteSetting::On))
    <x-edit :page="$page" :fields="['edit' => 'route', 'unit' => $unit, 'route' => $route->key(), 'on' => $route->on ? '0' : '1']"><button
        class="matrix-cell" type="submit" aria-pressed="{{ $route->on ? 'true' : 'false' }}"><span class="visually-hidden">{{ $name }}:
        </span>{{ $route->on ? $words : '·' }}</button></x-edit>
@else
    <span class="matrix-cell fixed">{{ $route->on ? $words : '·' }}</span>
@endif

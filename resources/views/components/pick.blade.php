@props(['page', 'program', 'pick'])
{{-- Which device a program's in or out uses. --}}
@php $name = "{$pick['point']->label} of {$program->name}"; @endphp
<x-edit :page="$page" class="set plug" :fields="['edit' => 'pick', 'unit' => $program->id, 'point' => $pick['point']->id]">
    <select name="device" data-auto aria-label="Device for {{ $name }}">@foreach ($pick['choices'] as $ref => $device)
        <option value="{{ $ref }}" @selected($ref === $pick['now'])>{{ $device }}</option> @endforeach</select>
    @if ($pick['width'] > 2 || $pick['channels'] !== '' || ($pick['isOfProgram'] && $pick['now'] !== ''))
        <input class="channels" name="channels" data-auto value="{{ $pick['channels'] }}" placeholder="all {{ $pick['width'] ?: '' }} ch"
        aria-label="Channels for {{ $name }}, such as 3, 4"> @endif
    <button type="submit" class="do without-scripts">Use<span class="visually-hidden"> for {{ $name }}</span></button>
</x-edit>

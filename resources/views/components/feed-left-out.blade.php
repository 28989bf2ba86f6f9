@props(['page', 'unit', 'recipe', 'feed'])
{{-- What is not in a mix, and the button that puts it in. --}}
@php
    $instead = implode(', ', $feed->instead);
    $sounds = $feed->sounds();
@endphp
<div class="left-out-one"><strong>{{ $sounds->name }}</strong>@if ($sounds->also !== '')
    <small>{{ $sounds->also }}</small>@endif @if ($feed->canSwitch)<x-edit :page="$page"
    :fields="['edit' => 'route', 'unit' => $unit, 'route' => $feed->key, 'on' => '1']"><button class="plain add" type="submit"
    @if ($instead !== '') title="instead of {{ $instead }}" @endif>Add<span class="visually-hidden"> {{ $feed->from }} to {{
    $recipe->output->label }}{{ $instead === '' ? '' : ", instead of {$instead}" }}</span>@if ($instead !== '')
    <i class="bi bi-arrow-left-right" aria-hidden="true"></i> @endif</button></x-edit>@endif</div>

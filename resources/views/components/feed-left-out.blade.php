@props(['page', 'unit', 'recipe', 'feed'])
{{-- What is not in a mix, and the button that puts it in. --}}
@php $instead = implode(', ', $feed->instead); @endphp
@if ($feed->canSwitch)
    <x-edit :page="$page" :fields="['edit' => 'route', 'unit' => $unit, 'route' => $feed->key, 'on' => '1']"><button class="feed"
        type="submit" @if ($instead !== '') title="instead of {{ $instead }}" @endif>{{ $feed->from }}<span
        class="visually-hidden">: add to {{ $recipe->output->label }}{{ $instead === '' ? '' : ", instead of {$instead}"
        }}</span>@if ($instead !== '') <i class="bi bi-arrow-left-right" aria-hidden="true"></i> @endif</button></x-edit>
@else <span class="feed">{{ $feed->from }}</span> @endif

@props(['page', 'unit', 'recipe'])
{{-- An output that gets one of several things: a sentence with its choices. --}}
<div class="mix-choice" role="group" aria-label="What {{ $recipe->output->label }} gets">
    <span class="quiet">plays</span>
    @foreach ($recipe->feeds as $feed)
        @if ($feed->now->on) <span class="choice" aria-current="true">{{ $feed->from }}</span>
        @else <x-edit :page="$page" :fields="['edit' => 'route', 'unit' => $unit, 'route' => $feed->key, 'on' => '1']"><button
            class="choice" type="submit"><span class="visually-hidden">{{ $recipe->output->label }} plays </span>{{ $feed->from
            }}</button></x-edit> @endif
    @endforeach
</div>

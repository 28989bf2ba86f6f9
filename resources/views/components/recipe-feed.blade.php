@props(['page', 'recipes', 'recipe', 'feed'])
{{-- What is in a mix: its sounds, how strong it is on the scale of all mixes, its send, and how it is taken out. --}}
@php
    $unit = $recipes->unit->id;
    $sounds = $feed->sounds();
    $pen = $page->penAmong($feed->sources);
    $x = $recipes->scale->at($feed->sent);
    $knob = $feed->knob();
@endphp
<li class="mix-row">
    <span class="ingredient"><strong @if ($pen !== null) class="pen-name pen-{{ $pen->value }}" @endif>{{ $sounds->name
        }}</strong>@if ($sounds->also !== '') <small>{{ $sounds->also }}</small>@endif
        @if ($feed->isMuted) <small class="says-muted">muted</small>@endif @if ($feed->by !== '') <small>{{ $feed->by }}</small>@endif
        @if ($feed->movesWith !== []) <small>moves with {{ implode(', ', $feed->movesWith) }}</small>@endif
        @if ($feed->now->holds !== null) <small>holds
        {{ $feed->now->holds->words() }}</small>@endif @if ($feed->now->tap !== $recipes->tap && ! $feed->canTap)
        <small>{{ $feed->tapWords() }}</small>@endif</span>
    @if ($feed->now->tap !== $recipes->tap && $feed->canTap) <x-recipe-tap :page="$page" :unit="$unit" :recipe="$recipe" :feed="$feed" />
        @endif
    <svg @class(['mix-bar', "pen-{$pen?->value}" => $pen !== null, 'is-muted' => $feed->isMuted]) viewBox="0 0 {{
        $recipes->scale::WIDTH }} 28" width="{{ $recipes->scale::WIDTH }}" height="28" preserveAspectRatio="none" aria-hidden="true"><use
        href="#mix-lines"/><path class="mix-level" d="M0,14H{{ $x }}"/><path class="mix-mark" d="M{{ $x }},7V21"/></svg>
    <span class="figures">{{ $feed->sent->text() }}</span>
    @if ($knob !== null)
        <div class="mix-set"><x-number :page="$page" :fields="['edit' => 'route', 'unit' => $unit, 'route' => $feed->key]" name="db"
            label="Level of {{ $feed->from }} in {{ $recipe->output->label }}" :value="$knob->value" :from="$knob->scale->from"
            :to="$knob->scale->to" />@if ($knob->own !== null) <x-number :page="$page" name="mark" class="printed" step="0.1"
            :fields="['edit' => 'printed', 'unit' => $unit, 'route' => $feed->key]" :value="$knob->mark()" :from="$knob->marks()[0]"
            :to="$knob->marks()[1]" :unit="$knob->own->unit" label="Level of {{ $feed->from }} in {{ $recipe->output->label
            }} as printed" />@endif</div>
    @else <span class="figures fixed">{{ $feed->levelWords() }}</span> @endif
    @if ($feed->canSwitch)
        <x-edit :page="$page" class="mix-out" :fields="['edit' => 'route', 'unit' => $unit, 'route' => $feed->key, 'on' => '0']"><button
            class="plain" type="submit" title="Remove"><i class="bi bi-x-lg" aria-hidden="true"></i><span class="visually-hidden">Remove
            {{ $feed->from }} from {{ $recipe->output->label }}</span></button></x-edit> @endif
</li>

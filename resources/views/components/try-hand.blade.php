@props(['page', 'controls', 'control'])
{{-- The chosen control, tried on the real thing: what changed while it was moved, against the plan. --}}
@php $seen = $controls->seen($control); @endphp
<form class="hand-form try-hand" method="get" action="{{ $page->url([]) }}#control-{{ $control->id }}">
    <input type="hidden" name="control" value="{{ $control->id }}"><input type="hidden" name="situation"
        value="{{ $page->situation->id }}"><input type="hidden" name="tried" value="1">
    <fieldset><legend>Try it: move it from end to end on the real one. What changes?</legend>
        @foreach ($seen->sounds() as $sound) <label class="tick"><input type="checkbox" name="{{ $sound['field'] }}" value="1"
            @checked($sound['isSeen'])> {{ $sound['name'] }}</label> @endforeach
        <button class="do" type="submit">Compare with the plan</button></fieldset></form>
@if ($seen->isSaid)
    <div @class(['seen-says', 'trouble' => ! $seen->isAsPlanned()])><p>{{ $seen->says() }}</p>
        @if ($page->canEdit) @foreach ($seen->cures() as $what => $words) <x-edit :page="$page" :fields="['edit' => 'control-tried',
            'control' => $control->id, 'what' => $what]"><button class="do" type="submit">{{ $words }}</button></x-edit> @endforeach @endif
    </div>
@endif
@php $next = $seen->next(); @endphp
@if ($next !== null) <p><a href="{{ $page->url(['control' => $next->id]) }}#control-{{ $next->id }}">Try the next: {{ $next->words()
    }}</a></p> @endif

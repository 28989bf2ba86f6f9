@props(['page', 'cell', 'label', 'url'])
{{-- The value of a thing in a situation: empty where it is the default's, and there a click, a number or a choice sets it. --}}
@php $back = "{$label}: as in the default"; @endphp
@if ($cell->level !== null)
    @php $level = $cell->level; @endphp
    <x-number :page="$page" :fields="$level->fields" :name="$level->name" :label="$label" :value="$cell->isOwn ? $level->value : null"
        :from="$level->scale->from" :to="$level->scale->to" :unit="$level->scale->unit" :step="$level->scale->step" />
@elseif ($cell->choice !== null)
    <x-edit :page="$page" class="set" :fields="$cell->choice['fields']"><select name="{{ $cell->choice['name'] }}" data-auto
        aria-label="{{ $label }}">@if (! $cell->isOwn || $cell->choice['now'] === '') <option value="">{{ $cell->isOwn ? $cell->stands : ''
        }}</option>@endif @foreach ($cell->choice['of'] as $value => $words) <option value="{{ $value }}" @selected($cell->isOwn
        && $cell->choice['now'] === (string) $value)>{{ $words }}</option> @endforeach</select><button type="submit"
        class="do without-scripts">Set<span class="visually-hidden"> {{ $label }}</span></button></x-edit>
@elseif ($cell->isOwn && $cell->otherwise !== '')
    <x-edit :page="$page" :fields="$cell->reset" :key="$cell->key()"><button type="submit" class="cell-button"
        title="{{ $back }}">{{ $cell->stands }}<span class="visually-hidden">. {{ $back }}</span></button></x-edit>
@elseif ($cell->other !== null)
    <x-edit :page="$page" :fields="$cell->other" :key="$cell->key()"><button type="submit" class="cell-button"><span>{{ $cell->otherwise
        }}</span><span class="visually-hidden"> {{ $label }}</span></button></x-edit>
@elseif ($cell->isOwn) <a class="cell-button" href="{{ $url }}">{{ $cell->stands }}</a>
@else <a class="cell-button" href="{{ $url }}"><span>set in Computers</span><span class="visually-hidden"> {{ $label }}</span></a>
@endif
@if ($cell->reset !== null && ($cell->level !== null || $cell->otherwise === ''))
    <x-edit :page="$page" class="cell-back" :fields="$cell->reset"><button type="submit" class="plain" aria-label="{{ $back }}"
        title="{{ $back }}"><i class="bi bi-x-lg" aria-hidden="true"></i></button></x-edit>
@endif

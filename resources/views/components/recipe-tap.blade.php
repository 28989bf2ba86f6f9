@props(['page', 'unit', 'recipe', 'feed'])
{{-- Where a feed of a mix is taken, as a choice. --}}
<x-edit :page="$page" class="set" :fields="['edit' => 'route', 'unit' => $unit, 'route' => $feed->key]"><select name="tap" data-auto
    aria-label="Where {{ $feed->from }} is taken for {{ $recipe->output->label }}">@foreach (['input' => 'input',
    'pre-fader' => 'pre-fader', 'post-fader' => 'post-fader'] as $tap => $words) <option value="{{ $tap }}"
    @selected($feed->now->tap->value === $tap)>{{ $words }}</option> @endforeach</select><button type="submit"
    class="do without-scripts">Set</button></x-edit>

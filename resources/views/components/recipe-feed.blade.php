@props(['page', 'unit', 'recipe', 'feed'])
{{-- What is in a mix, with what can be set on its way there. --}}
<li>
    <span class="ingredient">{{ $feed->from }}@if ($feed->by !== '')
        <small>{{ $feed->by }}</small>@endif @if ($feed->movesWith !== [])
        <small>moves with {{ implode(', ', $feed->movesWith) }}</small>@endif
        @if ($feed->now->holds !== null) <small>holds {{ $feed->now->holds->words() }}</small>@endif
        @if ($feed->sources !== []) <small>{{ implode(', ', array_map(fn ($source) => $source->name,
        $feed->sources)) }}</small> @endif</span>
    <div class="control">
        @if ($feed->canLevel)
            <x-number :page="$page" :fields="['edit' => 'route', 'unit' => $unit,
            'route' => $feed->key]" name="db" label="Level of {{ $feed->from }} in {{
            $recipe->output->label }}" :value="$feed->now->db->number()"
            /> @elseif ($feed->levelWords() !== '') <span class="figures">{{ $feed->levelWords()
            }}</span> @endif
        @if ($feed->canTap)
            <x-edit :page="$page" class="set"
                :fields="['edit' => 'route', 'unit' => $unit, 'route' => $feed->key]"><select
                name="tap" data-auto aria-label="Where {{ $feed->from }} is taken for {{
                $recipe->output->label }}">@foreach (['input' => 'input', 'pre-fader' => 'pre-fader',
                'post-fader' => 'post-fader'] as $tap => $words) <option value="{{ $tap }}"
                @selected($feed->now->tap->value === $tap)>{{ $words }}</option>
                @endforeach</select><button type="submit"
                class="do without-scripts">Set</button></x-edit>
        @else <small class="quiet">{{ $feed->isLinked() ? 'post-fader' : $feed->tapWords() }}</small>
            @endif
        @if ($feed->canSwitch)
            <x-edit :page="$page" :fields="['edit' => 'route', 'unit' => $unit,
            'route' => $feed->key, 'on' => '0']"><button class="do"
            type="submit">Remove<span class="visually-hidden">
            {{ $feed->from }} from {{ $recipe->output->label }}</span></button></x-edit> @endif
    </div>
</li>

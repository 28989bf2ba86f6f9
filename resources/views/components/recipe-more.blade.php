@props(['page', 'recipes', 'recipe'])
{{-- What a mix follows, gets once, is linked with, and where its feeds are taken. --}}
@if ($page->canEdit && ($recipe->leaders !== [] || $recipe->models !== [] || $recipe->tapped() !== []))
    <details class="stock-more recipe-more" data-keep><summary>follow, copy, link<span class="visually-hidden">
        {{ $recipe->output->label }}</span></summary>
        <p class="quiet">{{ $recipe->aloud() }}</p>
        @if ($recipe->tapped() !== [])
            <x-edit :page="$page" class="row-form" :fields="['edit' => 'route', 'unit' => $recipes->unit->id]">
                <select name="route" aria-label="What of {{ $recipe->output->label }} is taken elsewhere">
                    @foreach ($recipe->tapped() as $feed) <option value="{{ $feed->key }}">{{ $feed->from }}</option> @endforeach</select>
                <label>is taken
                    <select name="tap" aria-label="Where it is taken for {{ $recipe->output->label }}">
                    @foreach (['input', 'pre-fader', 'post-fader'] as $tap)
                    <option @selected($tap === $recipes->tap->value)>{{ $tap }}</option>
                    @endforeach</select></label>
                <button class="do" type="submit">Set<span class="visually-hidden">
                    where it is taken for {{ $recipe->output->label }}</span></button>
            </x-edit>
        @endif
        @if ($recipe->leaders !== [])
            <x-edit :page="$page" class="row-form" data-save
                :fields="['edit' => 'follow', 'unit' => $recipes->unit->id, 'point' => $recipe->output->id,
                'situation' => '']">
                <label>Follows
                    <select name="of" aria-label="What {{ $recipe->output->label }} follows"><option
                    value="">nothing</option>@foreach ($recipe->leaders as $id => $name)
                    <option value="{{ $id }}" @selected($recipe->follows?->of === $id)>{{ $name }}</option>
                    @endforeach</select></label>
                <label class="tick"><input type="checkbox" name="with_fader" value="1"
                    @checked($recipe->follows?->withFader)> with its fader</label>
                <input type="hidden" name="with_except" value="1"><label>except
                    <select name="except[]" multiple size="3" aria-label="What {{ $recipe->output->label
                    }} does not take over">@foreach ($recipe->feeds as $feed)
                    <option value="{{ $feed->now->from }}" @selected(in_array($feed->now->from,
                    $recipe->follows?->except ?? [], true))>{{ $feed->from }}</option>
                    @endforeach</select></label>
                <button class="do" type="submit">Save<span class="visually-hidden">
                    what {{ $recipe->output->label }} follows</span></button>
            </x-edit>
        @endif
        @if ($recipe->models !== [])
            <x-edit :page="$page" class="row-form"
                :fields="['edit' => 'copy-recipe', 'unit' => $recipes->unit->id, 'point' => $recipe->output->id]">
                <label>Get once what
                    <select name="from" aria-label="Output that {{ $recipe->output->label
                    }} is made like">@foreach ($recipe->models as $id => $name)
                    <option value="{{ $id }}">{{ $name }}</option> @endforeach</select> gets</label>
                <button class="do" type="submit">Copy<span class="visually-hidden">
                    to {{ $recipe->output->label }}</span></button>
            </x-edit>
        @endif
        @if ($recipe->levelled() !== [])
            <x-edit :page="$page" class="row-form" :fields="['edit' => 'link-level', 'unit' => $recipes->unit->id, 'situation' => '']">
                <select name="route" aria-label="What of {{ $recipe->output->label }} moves with another level">
                    @foreach ($recipe->levelled() as $feed) <option value="{{ $feed->key }}">{{ $feed->from }}</option> @endforeach</select>
                <label>moves with <select name="with" aria-label="What its level in {{ $recipe->output->label }} moves with"><option
                    value="">nothing</option>@foreach ($recipes->linkable() as $key => $name) <option value="{{ $key }}">{{ $name
                    }}</option> @endforeach</select></label>
                <button class="do" type="submit">Link<span class="visually-hidden"> it in {{ $recipe->output->label }}</span></button>
            </x-edit>
        @endif
    </details>
@endif

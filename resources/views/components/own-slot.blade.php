@props(['page', 'own', 'pair'])
{{-- A sound that comes in one slot with others, and how it gets one of its own. --}}
<div class="strip-note own-slot">
    <span class="gap-label">Shared</span> {{ $pair->source->name }} comes with other sounds in
        <strong>{{ $page->names->of($own->shared) }}</strong>.
    @if ($own->slot === null) <span class="quiet">No free slot takes it without a change for others.</span>
    @else
        <details class="stock-more" data-keep><summary>A slot of its own: {{ $page->rig->point($own->slot)->label }}</summary>
            <p class="quiet">Its level stays, and nobody hears anything else. In this order nothing is heard twice on the way:</p>
            <ol>@foreach ($own->edits as $edit) <li>{{ $edit->words($page->rig) }}</li> @endforeach</ol>
            <x-edit :page="$page" :fields="['edit' => 'own-slot', 'source' => $pair->source->id, 'listener' => $pair->listener->id,
                'situation' => '']"><button class="do" type="submit">Give it its own slot</button></x-edit>
        </details>
    @endif
</div>

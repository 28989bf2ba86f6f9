@props(['page', 'recipes', 'recipe'])
{{-- Who hears exactly what an output gets, and who could by one choice. --}}
@if ($recipes->listenedTo === $recipe->output->id)
    <div class="listening-in" role="status">
        <p>{{ $recipes->hear === '' ? 'Nobody hears exactly this.'
            : "Hear exactly this: {$recipes->hear}." }}</p>
        @foreach ($recipes->choices as $choice) <p>{{ $choice }}</p> @endforeach
        @if ($recipes->choices === [])
            <p class="quiet">Nobody else in the room can listen to it by one choice without a change for those
            on the air.</p> @endif
    </div>
@else
    <p class="listen-link"><a href="{{ $page->url(['select' => "unit:{$recipes->shown->unit->id}",
        'listen' => $recipe->output->id]) }}#recipe-{{ $recipe->output->id }}">Who can hear exactly this?<span
        class="visually-hidden"> {{ $recipe->output->label }}</span></a></p>
@endif

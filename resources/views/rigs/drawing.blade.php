<x-map :page="$page" :drawing="$drawing" />
<div class="zoom" role="group" aria-label="Zoom">
    <button type="button" data-zoom="in" title="Zoom in (+)" aria-label="Zoom in"><i class="bi bi-plus-lg" aria-hidden="true"></i></button>
    <button type="button" data-zoom="out" title="Zoom out (−)" aria-label="Zoom out"><i class="bi bi-dash-lg"
        aria-hidden="true"></i></button>
    <button type="button" data-zoom="fit" title="Fit (f)" aria-label="Fit"><i class="bi bi-arrows-fullscreen"
        aria-hidden="true"></i></button>
    @if ($page->canEdit)
        <form method="post" data-send action="{{ route('rigs.layout.forget', $page->record->id) }}">@csrf
            @method('delete')<input type="hidden" name="depth" value="{{ $page->depth->value }}"><button type="submit"
            title="Lay the map out anew" aria-label="Lay the map out anew"><i class="bi bi-arrow-repeat"
            aria-hidden="true"></i></button></form>
    @endif
</div>

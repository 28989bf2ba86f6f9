<x-map :page="$page" :drawing="$drawing" />
<div class="zoom" role="group" aria-label="Zoom">
    <button type="button" data-zoom="in" title="Zoom in (+)" aria-label="Zoom in"><i class="bi bi-plus-lg" aria-hidden="true"></i></button>
    <button type="button" data-zoom="out" title="Zoom out (−)" aria-label="Zoom out"><i class="bi bi-dash-lg" aria-hidden="true"></i></button>
    <button type="button" data-zoom="fit" title="Fit (f)" aria-label="Fit"><i class="bi bi-arrows-fullscreen" aria-hidden="true"></i></button>
</div>

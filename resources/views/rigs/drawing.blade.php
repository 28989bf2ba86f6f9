<x-map :page="$page" :drawing="$drawing" />
<div class="zoom" role="group" aria-label="Zoom">
    <button type="button" data-zoom="in" title="Nearer (+)" aria-label="Nearer"><i class="bi bi-plus-lg" aria-hidden="true"></i></button>
    <button type="button" data-zoom="out" title="Farther (−)" aria-label="Farther"><i class="bi bi-dash-lg" aria-hidden="true"></i></button>
    <button type="button" data-zoom="fit" title="All of it (f)" aria-label="All of it"><i class="bi bi-arrows-fullscreen" aria-hidden="true"></i></button>
</div>

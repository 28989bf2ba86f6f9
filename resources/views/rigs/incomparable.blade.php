<x-rig-frame :page="$page">
    <div class="page">
        <h2>Revision {{ $revision->number }} can't be read any more</h2>
        <p>It was made by an older version with something in it that is refused now, so there is nothing to compare with.
            Its document is kept as it was.</p>
        <p><a href="{{ route('rigs.history', $page->record->id) }}">Back to the history</a></p>
    </div>
</x-rig-frame>

<x-rig-frame :page="$page">
    <div class="page downloads">
        <h2>Downloads</h2>
        <p><a class="btn btn-sm btn-ink" href="{{ route('rigs.document', $page->record->id) }}" download>Download rig file</a></p>
        <p class="quiet">All of the rig in one file, with every model that it uses: to keep, to hand on, to open as a new rig.</p>
        <h3>Other forms</h3>
        <ul class="plain-list exports">
            @foreach ($downloads->files as $file) <li><a href="{{ $file['url'] }}" download>{{ $file['label'] }}</a></li> @endforeach
        </ul>
        <p class="quiet">The PDF, with its parts and its paper to choose, is made in the
            <a href="{{ $page->url([], 'book') }}">book</a>.</p>
    </div>
</x-rig-frame>

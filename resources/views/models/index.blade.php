<x-page title="Own models" class="shelf">
    <header class="top">
        <x-brand />
        <h1>Own models</h1>
        <nav aria-label="Elsewhere"><a href="{{ route('rigs.index') }}">Rigs</a> · <a href="{{ route('catalogue') }}">Catalogue</a></nav>
        <div class="top-end"><x-account /></div>
    </header>
    <main class="shelf-main">
        @if (session('said')) <p class="said" role="status">{{ session('said') }}</p> @endif
        <p>What the catalogue does not have, you draw yourself.
            Your models stand in the stock's list beside the catalogue's, and a rig that uses one carries it in its document.</p>
        <p><a class="btn btn-ink" href="{{ route('models.create') }}">New model</a>
            or <a href="{{ route('models.mixer') }}">a mixer, by what it has</a>,
            or <a href="{{ route('catalogue') }}">begin with one of the catalogue</a></p>
        <form class="row-form model-file" method="post" action="{{ route('models.file') }}" enctype="multipart/form-data">@csrf
            <label>A model from a file
                <input class="form-control" type="file" name="model" accept=".json,application/json" required></label>
            <button class="do" type="submit">Take it in</button>
        </form>
        @error('model') <p class="trouble" role="alert">{{ $message }}</p> @enderror
        <ul class="model-list">
            @forelse ($list->models as $own)
                <li>
                    <a href="{{ route('models.edit', $own['id']) }}"><strong>{{ $own['name'] }}</strong>
                        <small>{{ $own['summary'] }}</small></a>
                    <a href="{{ route('models.download', $own['id']) }}" download>File<span class="visually-hidden"> of {{ $own['name']
                        }}</span></a>
                    <form method="post" action="{{ route('models.destroy', $own['id']) }}"
                        data-confirm="Delete {{ $own['name'] }}? Rigs that use it keep it. This can't be undone.">@csrf
                        @method('delete')<button class="plain" type="submit" aria-label="Delete {{ $own['name'] }}"><i class="bi bi-trash3"
                        aria-hidden="true"></i></button></form>
                </li>
            @empty
                <li class="quiet">There is none yet.</li>
            @endforelse
        </ul>
    </main>
    <x-keys />
</x-page>

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
            <a href="{{ route('catalogue') }}">or begin with one of the catalogue</a></p>
        <ul class="model-list">
            @forelse ($list->models as $own)
                <li>
                    <a href="{{ route('models.edit', $own['id']) }}"><strong>{{ $own['name'] }}</strong>
                        <small>{{ $own['summary'] }}</small></a>
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

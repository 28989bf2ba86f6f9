<x-page title="Find in all rigs" class="shelf">
    <header class="top">
        <x-brand />
        <h1>Find in all rigs</h1>
        <nav aria-label="Elsewhere"><a href="{{ route('rigs.index') }}">Rigs</a></nav>
        <div class="top-end"><x-account /></div>
    </header>
    <main class="shelf-main everywhere">
        <form class="find-everywhere" method="get" action="{{ route('find-all') }}" role="search">
            <label for="everywhere">Unit, serial or inventory number, model, cable, sound or listener</label>
            <div class="begin"><input class="form-control" id="everywhere" type="search" name="q" value="{{ $found->text }}"
                maxlength="{{ Bounds::NAME }}" autofocus><button class="btn btn-ink" type="submit">Find</button></div>
        </form>
        @if ($found->text !== '' && $found->kinds === [])
            <p>{{ $found->only === null ? 'Nothing in your rigs is called that.' : 'There are no more of them.' }}</p> @endif
        @foreach ($found->kinds as $kind)
            <section aria-labelledby="found-{{ $kind['id'] }}">
                <h2 id="found-{{ $kind['id'] }}">{{ $kind['title'] }} <small class="quiet">{{ $kind['count'] }}</small></h2>
                <ul class="found-in">
                    @foreach ($kind['rows'] as $one)
                        <li><a href="{{ $one['url'] }}">{{ $one['name'] }}</a> <span class="quiet">{{ $one['says'] }}</span>
                            @if ($one['rig'] !== '') <span class="found-rig">{{ $one['rig'] }}</span> @endif</li>
                    @endforeach
                </ul>
                @if ($found->only !== null)
                    <x-pages :of="$kind['pages']" label="More of what was found" back="Before" on="Next">
                        <a href="{{ route('find-all', ['q' => $found->text]) }}">All that is called so</a></x-pages>
                @elseif ($kind['pages']->hasMorePages())
                    <p><a href="{{ $kind['pages']->nextPageUrl() }}">More of them<span class="visually-hidden">: {{ $kind['title']
                        }}</span></a></p>
                @endif
            </section>
        @endforeach
    </main>
    <x-keys />
</x-page>

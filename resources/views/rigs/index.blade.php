<x-page title="Rigs" class="shelf">
    <header class="top">
        <x-brand />
        <h1>Rigs</h1>
        <nav aria-label="Elsewhere"><a href="{{ route('catalogue') }}">Catalogue</a> ·
            <a href="{{ route('crews.index') }}">Crews</a></nav>
        <form class="find-all" method="get" action="{{ route('find-all') }}" role="search"><label class="visually-hidden"
            for="find-all">Find in all rigs</label><input class="form-control form-control-sm" id="find-all" type="search" name="q"
            maxlength="{{ Bounds::NAME }}" placeholder="Find in all rigs"></form>
        <div class="top-end"><span class="who">{{ auth()->user()?->name }}</span><x-account /></div>
    </header>
    <main class="shelf-main">
        @if (session('said')) <p class="said" role="status">{{ session('said') }}</p> @endif
        @if ($shelf->problems !== [])
            <section class="trouble" role="alert">
                <h2>The document was not imported; nothing is changed.</h2>
                <ol>
                    @foreach (array_slice($shelf->problems, 0, 40) as $problem)
                        <li><code>{{ $problem->pointer === '' ? 'document' : $problem->pointer }}</code> {{ $problem->message }}</li>
                    @endforeach
                </ol>
                @if (count($shelf->problems) > 40) <p>and {{ count($shelf->problems) - 40 }} more;
                    <code>php artisan rig:validate</code> lists them all.</p> @endif
            </section>
        @endif
        @error('rigs') <p class="trouble" role="alert">{{ $message }}</p> @enderror
        @foreach ($shelf->limits as $limit) <p class="quiet">{{ $limit->warning() }}</p> @endforeach
        @foreach ($shelf->invitations as $invitation)
            <x-invitation :to="$invitation->rig->name" :accept="route('invitations.accept', $invitation->id)"
                :decline="route('invitations.decline', $invitation->id)"><strong>{{
                    $invitation->rig->owner()?->name }}</strong> invites you to
                <strong>{{ $invitation->rig->name }}</strong>: you may {{ $invitation->role->may('it') }}.</x-invitation>
        @endforeach
        @foreach ($shelf->crewInvitations as $invitation)
            <x-invitation :to="'the crew '.$invitation->crew->name" :accept="route('crews.accept', $invitation->id)"
                :decline="route('crews.decline', $invitation->id)">You are invited to the crew
                <strong>{{ $invitation->crew->name }}</strong>: you may {{ $invitation->role->may('its rigs') }}.</x-invitation>
        @endforeach
        @if ($shelf->crews !== [])
            <nav class="shelf-crews" aria-label="Whose rigs">
                <a href="{{ route('rigs.index') }}" @if ($shelf->crew === null) aria-current="page" @endif>All rigs</a>
                @foreach ($shelf->crews as $crew) <a href="{{ route('rigs.index', ['crew' => $crew->id]) }}"
                    @if ($shelf->crew?->id === $crew->id) aria-current="page" @endif>{{ $crew->name }}</a> @endforeach
            </nav>
        @endif
        @if ($shelf->crew !== null) <h2 class="shelf-title">{{ $shelf->crew->name }}</h2>
            <p class="quiet">{{ $shelf->cards === [] ? 'This crew has no rigs yet.' : 'Rigs of this crew.' }}
                <a href="{{ route('crews.show', $shelf->crew->id) }}">People and roles</a></p>
        @elseif ($shelf->cards !== []) <h2 class="shelf-title">Your rigs</h2> @endif
        <div class="cards" x-data="standings" @if ($shelf->isIncomplete())
            data-standings="{{ route('rigs.standings',
            ['cursor' => $shelf->rigs->cursor()?->encode(), 'crew' => $shelf->crew?->id]) }}" @endif>
            @foreach ($shelf->cards as $card)
                <article class="card-rig" data-rig="{{ $card->rig->id }}">
                    <a class="card-open" href="{{ route('rigs.wiring', $card->rig->id) }}">
                        <x-small-map :map="$card->drawing()" />
                        <h2>{{ $card->rig->name }}</h2>
                    </a>
                    <p>{{ $card->rig->summary }}</p>
                    <p class="card-facts">
                        @if ($card->rig->trouble !== null)
                            <span class="fact says-muted">This rig can't be read: {{ $card->rig->trouble }}</span>
                        @elseif ($card->counts === [])
                            <span class="quiet">not counted yet</span>
                        @elseif ($card->isWishless())
                            <span class="quiet">no wishes yet</span>
                        @elseif ($card->atOdds() === 0)
                            <x-verdict :verdict="HiddenWire\Core\Signal\Verdict::Ok" /> all as wished
                        @else
                            @foreach (['missing', 'leak', 'doubled', 'one-sided', 'treated', 'too-quiet', 'overloads', 'loop',
                                'not-alone', 'thin', 'uncounted'] as $verdict)
                                @if (($card->counts[$verdict] ?? 0) > 0)
                                    <span class="fact"><x-verdict :verdict="HiddenWire\Core\Signal\Verdict::from($verdict)" />
                                        {{ $card->counts[$verdict] }} {{ $verdict }}</span>
                                @endif
                            @endforeach
                        @endif
                    </p>
                    <div class="card-foot">
                        <span class="card-count">{{ $card->counted() }}{{ $card->whose() }} · changed {{
                            $card->rig->updated_at->diffForHumans() }}</span>
                        <a href="{{ route('rigs.wishes', $card->rig->id) }}">Wishes</a>
                        <a href="{{ route('rigs.document', $card->rig->id) }}" download>Document</a>
                        @if ($card->rig->readable !== null)
                        <form method="post" action="{{ route('rigs.recover', $card->rig->id) }}">@csrf
                            <button class="do" type="submit">Restore revision {{ $card->rig->readable }}</button></form>
                        @endif
                        @if ($card->mayLeave())
                        <form method="post" action="{{ route('rigs.leave', $card->rig->id) }}"
                            data-confirm="Leave {{ $card->rig->name }}? Its owner can invite you again.">@csrf @method('delete')
                            <button class="do" type="submit">Leave<span class="visually-hidden">
                            {{ $card->rig->name }}</span></button></form>
                        @endif
                        @if ($card->isOwn)
                        <form method="post" action="{{ route('rigs.destroy', $card->rig->id) }}"
                            data-confirm="Delete {{ $card->rig->name }} with all its revisions? This can't be undone.">
                            @csrf @method('delete')
                            <button class="plain" type="submit" aria-label="Delete {{ $card->rig->name }}"><i class="bi bi-trash3"
                                aria-hidden="true"></i></button>
                        </form>
                        @endif
                    </div>
                </article>
            @endforeach
        </div>
        <x-pages :of="$shelf->rigs" label="Pages of rigs"><span>{{ $shelf->count }} rigs</span></x-pages>
        @if ($shelf->mayBegin) <section class="begin-rig" aria-labelledby="new-rig">
            <h2 id="new-rig">New rig{{ $shelf->crew === null ? '' : " of {$shelf->crew->name}" }}</h2>
            <div class="doors">
                <div class="begin-door">
                    <h3>A rig like mine</h3>
                    <p>@if ($shelf->like !== null) Say what you have, start from the nearest of {{ count($shelf->like->fits) }}.
                        <a href="#like-mine">Go there</a> @else
                        <a href="{{ route('rigs.index', ['crew' => $shelf->crew?->id]) }}#like-mine">On the first page</a> @endif</p>
                </div>
                <form class="begin-door" method="post" action="{{ route('rigs.create') }}">
                    @csrf @if ($shelf->crew !== null) <input type="hidden" name="crew" value="{{ $shelf->crew->id }}"> @endif
                    <h3>Empty</h3>
                    <div class="begin"><label class="visually-hidden" for="begin-name">Name of the new rig</label>
                        <input class="form-control" id="begin-name" name="name" maxlength="{{ Bounds::NAME }}" required
                        placeholder="Its name"><button class="btn btn-ink" type="submit">Create</button></div>
                </form>
                <form class="begin-door" method="post" action="{{ route('rigs.store') }}" enctype="multipart/form-data">
                    @csrf @if ($shelf->crew !== null) <input type="hidden" name="crew" value="{{ $shelf->crew->id }}"> @endif
                    <h3>A file</h3>
                    <div class="begin"><label class="visually-hidden" for="document">Rig document</label>
                        <input class="form-control" id="document" name="document" type="file" accept=".json,application/json"
                        required><button class="btn btn-ink" type="submit">Import</button></div>
                    <p>It is checked as a whole: it comes in complete, or not at all.</p>
                </form>
            </div>
            @if ($shelf->like !== null) <x-like-mine :like="$shelf->like" :crew="$shelf->crew" /> @endif
        </section> @endif
    </main>
    <x-keys />
</x-page>

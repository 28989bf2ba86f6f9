<x-page :title="$page->crew->name" class="shelf">
    <header class="top">
        <x-brand />
        <h1>{{ $page->crew->name }}</h1>
        <nav aria-label="Elsewhere"><a href="{{ route('crews.index') }}">Crews</a> ·
            <a href="{{ route('rigs.index', ['crew' => $page->crew->id]) }}">Rigs of this crew</a></nav>
        <div class="top-end"><x-account /></div>
    </header>
    <main class="shelf-main account-page">
        @if (session('said')) <p class="said" role="status">{{ session('said') }}</p> @endif
        @foreach ($errors->all() as $message) <p class="trouble" role="alert">{{ $message }}</p> @endforeach
        <section class="account-part" aria-labelledby="crew-rigs">
            <h2 id="crew-rigs">Rigs</h2>
            <ul class="plain-list">
                @forelse ($page->rigs as $rig) <li><a href="{{ route('rigs.wishes', $rig->id) }}">{{ $rig->name }}</a>
                    <span class="quiet">changed {{ $rig->updated_at->diffForHumans() }}</span></li>
                @empty <li class="quiet">None yet. Begin one, or hand one over on its People tab.</li> @endforelse
            </ul>
            <p><a href="{{ route('rigs.index', ['crew' => $page->crew->id]) }}">{{ $page->count > count($page->rigs)
                ? "All {$page->count} rigs, and new ones" : 'Begin a rig' }}</a></p>
        </section>
        <section class="account-part" aria-labelledby="crew-people">
            <h2 id="crew-people">People</h2>
            <ul class="members">
                <x-members :members="$page->members" :may-manage="$page->mayManage"
                    :role="fn ($member) => route('crews.role', [$page->crew->id, $member->id])"
                    :remove="fn ($member) => route('crews.remove', [$page->crew->id, $member->id])" />
            </ul>
            @if ($page->mayManage)
                <h3>Invite someone</h3>
                <x-invite :to="route('crews.invite', $page->crew->id)" />
            @endif
        </section>
        @if ($page->mayManage)
            <section class="account-part" aria-labelledby="crew-name">
                <h2 id="crew-name">Name</h2>
                <form method="post" action="{{ route('crews.rename', $page->crew->id) }}">@csrf @method('put')
                    <label>Name of the crew <input class="form-control" name="name" maxlength="{{ Bounds::SHORT_NAME }}" required
                        value="{{ $page->crew->name }}"></label>
                    <button class="btn btn-sm btn-ink" type="submit">Rename</button></form>
            </section>
            <section class="account-part" aria-labelledby="crew-deeds">
                <h2 id="crew-deeds">Who let whom in</h2>
                <x-deeds :deeds="$page->deeds" />
            </section>
        @endif
        <section class="account-part" aria-labelledby="crew-end">
            <h2 id="crew-end">Leave{{ $page->mayManage ? ' or end it' : '' }}</h2>
            <div class="bench-do">
                <form method="post" action="{{ route('crews.leave', $page->crew->id) }}"
                    data-confirm="Leave the crew {{ $page->crew->name }}? You no longer see its rigs.">@csrf @method('delete')
                    <button class="do" type="submit">Leave the crew</button></form>
                @if ($page->mayManage) <form method="post" action="{{ route('crews.destroy', $page->crew->id) }}"
                    data-confirm="End the crew {{ $page->crew->name }}? This can't be undone.">@csrf @method('delete')
                    <button class="do" type="submit">End the crew</button></form> @endif
            </div>
            @if ($page->mayManage) <p class="quiet">Before a crew ends, its rigs are handed over on their People tabs, or
                deleted.</p> @endif
        </section>
    </main>
    <x-keys />
</x-page>

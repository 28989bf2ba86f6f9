<x-rig-frame :page="$page">
    <div class="page people">
        <h2>People</h2>
        <ul class="members">
            <li><strong>{{ $people->owner }}</strong> <span class="quiet">owner</span></li>
            @foreach ($people->members as $member)
                <li><strong>{{ $member->user->name }}</strong>
                    <span class="quiet">{{ $member->user->email }}, {{ $people->standingOf($member) }}</span>
                    @if ($people->isOwner) <form method="post"
                        action="{{ route('rigs.people.destroy', [$page->record->id, $member->id]) }}">@csrf
                        @method('delete')<button class="do" type="submit">Remove<span class="visually-hidden">
                        {{ $member->user->name }}</span></button></form> @endif
                </li>
            @endforeach
        </ul>
        @if ($people->isOwner)
            <h3>Invite someone</h3>
            <form class="row-form" method="post" action="{{ route('rigs.people.store', $page->record->id) }}">
                @csrf
                <label>Email of their account <input name="email" type="email" required maxlength="190" value="{{ old('email') }}"></label>
                <label>Role <select name="role"><option value="view">view only</option><option value="edit"
                    @selected(old('role') === 'edit')>edit</option></select></label>
                <button class="do" type="submit">Invite</button>
            </form>
            <h3>Links for people without an account</h3>
            <p class="quiet">Whoever has a link can read the book and the maps of this rig as it is then, and nothing else.</p>
            @if (session('link')) <p><label>The link, shown only now <input class="form-control" readonly
                value="{{ session('link') }}"></label></p> @endif
            <ul class="members">
                @foreach ($people->shares as $share)
                    <li><strong>{{ $share->name }}</strong> <span class="quiet">{{ $people->termOf($share) }}</span>
                        <form method="post" action="{{ route('rigs.shares.destroy', [$page->record->id, $share->id]) }}">@csrf
                            @method('delete')<button class="do" type="submit">Remove<span class="visually-hidden">
                            the link for {{ $share->name }}</span></button></form>
                    </li>
                @endforeach
            </ul>
            <form class="row-form" method="post" action="{{ route('rigs.shares.store', $page->record->id) }}">
                @csrf
                <label>Label <input name="name" required maxlength="{{ Bounds::SHORT_NAME }}"></label>
                <label>Expires after <select name="days">@foreach ($people->days as $number => $words)
                    <option value="{{ $number }}" @selected($number === 7)>{{ $words }}</option> @endforeach</select></label>
                <button class="do" type="submit">Make a link</button>
            </form>
            <h3>Who let whom in</h3>
            <x-deeds :deeds="$people->deeds" />
        @endif
        <p class="quiet">Two can work at the same time: each sees the other's changes within seconds.
            Changes that touch different things are merged; where both touch the same thing, the later one is told and nothing is
            overwritten.</p>
    </div>
</x-rig-frame>

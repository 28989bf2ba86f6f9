<x-rig-frame :page="$page">
    <div class="page people">
        <h2>People</h2>
        <ul class="members">
            <li><strong>{{ $people->owner }}</strong> <span class="quiet">{{ $people->crew === null ? 'owner'
                : 'the crew that owns it' }}</span>
                @if ($people->isInCrew) <a href="{{ route('crews.show', $people->crew->id) }}">People and roles</a> @endif</li>
            @foreach ($people->crewMembers as $member) <li class="of-crew"><strong>{{ $member->user->name }}</strong>
                <span class="quiet">in the crew, may {{ $member->role->value }}</span></li> @endforeach
            <x-members :members="$people->members" :may-manage="$people->mayManage"
                :role="fn ($member) => route('rigs.people.role', [$page->record->id, $member->id])"
                :remove="fn ($member) => route('rigs.people.destroy', [$page->record->id, $member->id])" />
        </ul>
        @if ($people->mayManage)
            <h3>Invite someone</h3>
            <x-invite :to="route('rigs.people.store', $page->record->id)" />
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
            @if ($people->others !== [])
                <h3>Hand it over</h3>
                <form class="row-form" method="post" action="{{ route('rigs.hand-over', $page->record->id) }}"
                    data-confirm="Hand {{ $page->record->name }} over? Whoever has it then says who may come in.">
                    @csrf @method('put')
                    <label>To <select name="to">@foreach ($people->others as $value => $name) <option value="{{ $value }}">{{ $name
                        }}</option> @endforeach</select></label>
                    <button class="do" type="submit">Hand over</button>
                </form>
                <p class="quiet">Its people, links and history stay.</p>
            @endif
            <h3>Who let whom in</h3>
            <x-deeds :deeds="$people->deeds" />
        @endif
        <p class="quiet">Two can work at the same time: each sees the other's changes within seconds.
            Changes that touch different things are merged; where both touch the same thing, the later one is told and nothing is
            overwritten.</p>
    </div>
</x-rig-frame>

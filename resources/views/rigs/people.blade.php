@php $isOwner = $page->record->user_id === auth()->id(); @endphp
<x-rig-frame :page="$page">
    <div class="page people">
        <h2>People</h2>
        <ul class="members">
            <li><strong>{{ $owner->name }}</strong> <span class="quiet">owner</span></li>
            @foreach ($members as $member)
                <li><strong>{{ $member->user->name }}</strong> <span class="quiet">{{ $member->user->email }}, may {{ $member->role->value === 'edit' ? 'edit' : 'look' }}{{ $member->accepted_at === null ? ', invited, not accepted yet' : '' }}</span>
                    @if ($isOwner) <form method="post" action="{{ route('rigs.people.destroy', [$page->record->id, $member->id]) }}">@csrf @method('delete')<button class="do" type="submit">Remove<span class="visually-hidden"> {{ $member->user->name }}</span></button></form> @endif
                </li>
            @endforeach
        </ul>
        @if ($isOwner)
            <h3>Invite someone</h3>
            <form class="row-form" method="post" action="{{ route('rigs.people.store', $page->record->id) }}">
                @csrf
                <label>Email of their account <input name="email" type="email" required maxlength="190" value="{{ old('email') }}"></label>
                <label>They may <select name="role"><option value="view">view only</option><option value="edit" @selected(old('role') === 'edit')>edit</option></select></label>
                <button class="do" type="submit">Invite</button>
            </form>
        @endif
        <p class="quiet">Two can work at the same time: each sees the other's changes within seconds. Changes that touch different things are joined; where both touch the same thing, the later one is told and nothing is overwritten.</p>
    </div>
</x-rig-frame>

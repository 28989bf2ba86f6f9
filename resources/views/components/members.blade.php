@props(['members', 'mayManage', 'role', 'remove'])
{{-- People with their roles; whoever manages them changes a role or removes somebody. `role` and `remove` make addresses. --}}
@php use App\Models\MemberRole; @endphp
@foreach ($members as $member)
    <li><strong>{{ $member->user->name }}</strong>
        <span class="quiet">{{ $member->user->email }}{{ $mayManage ? '' : ', may '.$member->role->value
            }}{{ $member->accepted_at === null ? ', invited, not accepted yet' : '' }}</span>
        @if ($mayManage) <div class="member-do">
            <form method="post" action="{{ $role($member) }}">@csrf @method('put')
                <select class="form-select form-select-sm" name="role" aria-label="What {{ $member->user->name }} may do">
                    @foreach (MemberRole::cases() as $case) <option value="{{ $case->value }}"
                        @selected($case === $member->role)>{{ $case->value }}</option> @endforeach</select>
                <button class="do" type="submit">Set<span class="visually-hidden"> the role of {{ $member->user->name }}</span></button>
            </form>
            <form method="post" action="{{ $remove($member) }}">@csrf @method('delete')
                <button class="do" type="submit">Remove<span class="visually-hidden"> {{ $member->user->name }}</span></button></form></div>
        @endif
    </li>
@endforeach

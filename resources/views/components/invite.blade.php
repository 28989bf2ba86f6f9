@props(['to'])
{{-- Invites somebody by the address of their account. --}}
@php use App\Models\MemberRole; @endphp
<form class="row-form" method="post" action="{{ $to }}">
    @csrf
    <label>Email of their account <input name="email" type="email" required maxlength="{{ Bounds::EMAIL }}"
        value="{{ old('email') }}"></label>
    <label>Role <select name="role">@foreach (MemberRole::cases() as $case) <option value="{{ $case->value }}"
        @selected(old('role') === $case->value)>{{ $case->value }}</option> @endforeach</select></label>
    <button class="do" type="submit">Invite</button>
</form>
<dl class="roles">@foreach (MemberRole::cases() as $case) <div><dt>{{ $case->value }}</dt><dd>{{ $case->about() }}</dd></div>
    @endforeach</dl>

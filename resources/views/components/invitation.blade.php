@props(['to', 'accept', 'decline'])
<div class="invitation" role="group" aria-label="Invitation to {{ $to }}">
    <p>{{ $slot }}</p>
    <form method="post" action="{{ $accept }}">@csrf
        <button class="btn btn-sm btn-ink" type="submit">Accept</button></form>
    <form method="post" action="{{ $decline }}">@csrf @method('delete')
        <button class="do" type="submit">Decline</button></form>
</div>

<div class="account">
    <button type="button" class="plain" data-theme-switch title="Light or dark theme (t)"
        aria-label="Switch between light and dark theme"><i class="bi bi-moon" aria-hidden="true"></i></button>
    <a class="plain" href="{{ route('account') }}" title="Account of {{ auth()->user()?->name }}"
        aria-label="Account"><i class="bi bi-person" aria-hidden="true"></i></a>
    <form method="post" action="{{ route('logout') }}" data-forgets>
        @csrf
        <button type="submit" class="plain" title="Sign out"
            aria-label="Sign out {{ auth()->user()?->name }}"><i class="bi bi-box-arrow-right" aria-hidden="true"></i></button>
    </form>
</div>

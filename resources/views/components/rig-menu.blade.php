@props(['page'])
<details class="menu" data-menu>
    <summary title="Menu" aria-label="Menu"><i class="bi bi-list" aria-hidden="true"></i></summary>
    <ul>
        <li><a href="{{ route('rigs.index') }}"><i class="bi bi-collection" aria-hidden="true"></i>All rigs</a></li>
        <li><a href="{{ route('rigs.document', $page->record->id) }}" download><i class="bi bi-download"
            aria-hidden="true"></i>Download rig file</a></li>
        <li><a href="{{ route('models') }}"><i class="bi bi-box" aria-hidden="true"></i>Own models</a></li>
        <li><button type="button" data-key-list><i class="bi bi-keyboard" aria-hidden="true"></i>Keys <kbd>?</kbd></button></li>
        <li><button type="button" data-theme-switch><i class="bi bi-moon" aria-hidden="true"></i>Light or dark theme
            <kbd>t</kbd></button></li>
        <li><a href="{{ route('account') }}"><i class="bi bi-person" aria-hidden="true"></i>Account of {{ auth()->user()?->name }}</a></li>
        <li><form method="post" action="{{ route('logout') }}" data-forgets>@csrf<button type="submit"><i class="bi bi-box-arrow-right"
            aria-hidden="true"></i>Sign out</button></form></li>
    </ul>
</details>

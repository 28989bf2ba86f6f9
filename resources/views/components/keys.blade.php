<dialog class="keys" data-keys aria-labelledby="keys-title" x-data="keyList" x-on:key-list.window="open">
    <h2 id="keys-title">Keys</h2>
    <dl>
        <dt><kbd>1</kbd> … <kbd>8</kbd></dt>
        <dd>Wishes, Equipment, Wiring, Computers, Mixes, Checks, Show, Book; once more: the next tab</dd>
        <dt><kbd>s</kbd> <kbd>c</kbd> <kbd>p</kbd> <kbd>h</kbd></dt><dd>Situations, Cables, People, History</dd>
        <dt><kbd>/</kbd></dt><dd>find</dd>
        <dt><kbd>a</kbd></dt><dd>to the first field of the view</dd>
        <dt><kbd>[</kbd> <kbd>]</kbd></dt><dd>situation before, situation after</dd>
        <dt><kbd>d</kbd></dt><dd>next depth of the map</dd>
        <dt><kbd>+</kbd> <kbd>−</kbd> <kbd>f</kbd></dt><dd>zoom in, zoom out, fit</dd>
        <dt><kbd>arrows</kbd></dt><dd>move on the map, or from cell to cell</dd>
        <dt><kbd>Alt</kbd> <kbd>↑</kbd> <kbd>↓</kbd></dt><dd>earlier or later in the start order</dd>
        <dt><kbd>o</kbd></dt><dd>only the chosen signal path, or all</dd>
        <dt><kbd>m</kbd> <kbd>y</kbd> <kbd>n</kbd> <kbd>x</kbd></dt><dd>must, may, must not, no wish, for the chosen cell</dd>
        <dt><kbd>u</kbd> <kbd>r</kbd></dt><dd>undo, redo (also <kbd>Ctrl</kbd> <kbd>Z</kbd>, <kbd>Ctrl</kbd> <kbd>Shift</kbd>
            <kbd>Z</kbd>)</dd>
        <dt><kbd>Esc</kbd></dt><dd>clear the selection</dd>
        <dt><kbd>t</kbd></dt><dd>light or dark theme</dd>
        <dt><kbd>?</kbd></dt><dd>this list</dd>
    </dl>
    <label class="tick"><input type="checkbox" x-bind:checked="isOn" x-on:change="turn"> Keys without Ctrl or Alt</label>
    <form method="dialog"><button type="submit" class="btn btn-sm btn-ink">Close</button></form>
</dialog>

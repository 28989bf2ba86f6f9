<x-error title="That is too large"><p>A rig document has up to 6 MB, a picture up to 8 MB.</p></x-error>

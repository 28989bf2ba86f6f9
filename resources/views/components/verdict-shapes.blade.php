{{-- The marks of verdicts, once a page: shape first, colour second. --}}
<svg class="verdict-shapes" aria-hidden="true" width="0" height="0">
    <symbol id="mark-ring" viewBox="-10 -10 20 20"><circle r="5.5" class="mark-line"/></symbol>
    <symbol id="mark-ok" viewBox="-10 -10 20 20"><circle r="6" class="mark-fill"/></symbol>
    <symbol id="mark-missing" viewBox="-10 -10 20 20">
        <path class="mark-line mark-thick" d="M5.5,-2 A6,6 0 1 1 1,-5.9 M0,0 L7,-7"/></symbol>
    <symbol id="mark-leak" viewBox="-10 -10 20 20">
        <path class="mark-fill" d="M0,-8 C4,-3 6,0 6,3 A6,5.5 0 0 1 -6,3 C-6,0 -4,-3 0,-8 Z"/></symbol>
    <symbol id="mark-doubled" viewBox="-10 -10 20 20">
        <circle cx="-3" r="5" class="mark-line mark-thick"/><circle cx="3" r="5" class="mark-line mark-thick"/></symbol>
    <symbol id="mark-one-sided" viewBox="-10 -10 20 20">
        <circle r="6" class="mark-line"/><path class="mark-fill" d="M0,-6 A6,6 0 0 0 0,6 Z"/></symbol>
    <symbol id="mark-treated" viewBox="-10 -10 20 20">
        <circle r="6" class="mark-line"/><path class="mark-line mark-thick" d="M-4,1 C-2,-4 2,4 4,-1"/></symbol>
    <symbol id="mark-thin" viewBox="-10 -10 20 20">
        <circle r="6" class="mark-line"/><path class="mark-line mark-thick" d="M-2.6,-3 H2.6"/></symbol>
    <symbol id="mark-not-alone" viewBox="-10 -10 20 20">
        <circle cx="-2.5" r="4.5" class="mark-fill"/><circle cx="5.5" cy="-4.5" r="2.6" class="mark-fill"/></symbol>
    <symbol id="mark-loop" viewBox="-10 -10 20 20">
        <path class="mark-line mark-thick" d="M0,0 C2,-3 5,-1 4,2 C3,6 -4,6 -5,1 C-6,-5 1,-8 6,-5"/></symbol>
    <symbol id="mark-too-quiet" viewBox="-10 -10 20 20">
        <circle r="6" class="mark-line"/><path class="mark-fill" d="M-4.5,4 A6,6 0 0 0 4.5,4 Z"/></symbol>
    <symbol id="mark-overloads" viewBox="-10 -10 20 20">
        <path class="mark-fill" d="M-5.6,-2 A6,6 0 1 0 5.6,-2 Z"/><path class="mark-line mark-thick" d="M-6.5,-5.5 H6.5"/></symbol>
    <symbol id="mark-unwished" viewBox="-10 -10 20 20"><circle r="2.5" class="mark-fill"/></symbol>
    <symbol id="mark-uncounted" viewBox="-10 -10 20 20"><path class="mark-line mark-thick" d="M-6,-4 H6 M-6,0 H6 M-6,4 H6"/></symbol>
    <symbol id="mark-silent" viewBox="-10 -10 20 20"><path class="mark-line" d="M-3,0 H3"/></symbol>
</svg>

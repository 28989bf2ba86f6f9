@props(['verdict', 'silent' => false])
{{-- The mark of a verdict: shape first, colour second. A sound that is not there, as wished, is a ring. --}}
<svg class="verdict verdict-{{ $verdict->value }}" viewBox="-10 -10 20 20" aria-hidden="true">
@switch($silent && $verdict === HiddenWire\Core\Signal\Verdict::Ok ? 'ring' : $verdict->value)
    @case('ring') <circle r="5.5" class="mark-line"/> @break
    @case('ok') <circle r="6" class="mark-fill"/> @break
    @case('missing') <path class="mark-line mark-thick" d="M5.5,-2 A6,6 0 1 1 1,-5.9 M0,0 L7,-7"/> @break
    @case('leak') <path class="mark-fill" d="M0,-8 C4,-3 6,0 6,3 A6,5.5 0 0 1 -6,3 C-6,0 -4,-3 0,-8 Z"/> @break
    @case('doubled') <circle cx="-3" r="5" class="mark-line mark-thick"/><circle cx="3" r="5" class="mark-line mark-thick"/> @break
    @case('one-sided') <circle r="6" class="mark-line"/><path class="mark-fill" d="M0,-6 A6,6 0 0 0 0,6 Z"/> @break
    @case('treated') <circle r="6" class="mark-line"/><path class="mark-line mark-thick" d="M-4,1 C-2,-4 2,4 4,-1"/> @break
    @case('thin') <circle r="6" class="mark-line"/><path class="mark-line mark-thick" d="M-2.6,-3 H2.6"/> @break
    @case('not-alone') <circle cx="-2.5" r="4.5" class="mark-fill"/><circle cx="5.5" cy="-4.5" r="2.6" class="mark-fill"/> @break
    @case('loop') <path class="mark-line mark-thick" d="M0,0 C2,-3 5,-1 4,2 C3,6 -4,6 -5,1 C-6,-5 1,-8 6,-5"/> @break
    @case('too-quiet') <circle r="6" class="mark-line"/><path class="mark-fill" d="M-4.5,4 A6,6 0 0 0 4.5,4 Z"/> @break
    @case('overloads') <path class="mark-fill" d="M-5.6,-2 A6,6 0 1 0 5.6,-2 Z"/>
        <path class="mark-line mark-thick" d="M-6.5,-5.5 H6.5"/> @break
    @case('unwished') <circle r="2.5" class="mark-fill"/> @break
    @case('uncounted') <path class="mark-line mark-thick" d="M-6,-4 H6 M-6,0 H6 M-6,4 H6"/> @break
    @case('silent') <path class="mark-line" d="M-3,0 H3"/> @break
@endswitch</svg>

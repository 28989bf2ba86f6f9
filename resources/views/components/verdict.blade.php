@props(['verdict', 'silent' => false])
{{-- The mark of a verdict, by its shape on the page. A sound that is not there, as wished, is a ring. --}}
<svg class="verdict verdict-{{ $verdict->value }}" aria-hidden="true"><use
    href="#mark-{{ $silent && $verdict === HiddenWire\Core\Signal\Verdict::Ok ? 'ring' : $verdict->value }}"/></svg>

@props(['before', 'after'])
<x-verdict :verdict="$before->verdict" :silent="! $before->isHeard()"
    /><span aria-hidden="true">→</span><x-verdict :verdict="$after->verdict" :silent="! $after->isHeard()" />
<span><strong>{{ $after->source->name }}</strong> at {{ $after->listener->name }}
    <span class="says">{{ \HiddenWire\Core\Signal\HearingDifference::says($before, $after) }}</span></span>

@props(['before', 'after'])
<x-verdict :verdict="$before->verdict" :silent="$before->arrivals === []" /><span aria-hidden="true">→</span><x-verdict :verdict="$after->verdict" :silent="$after->arrivals === []" />
<span><strong>{{ $after->source->name }}</strong> at {{ $after->listener->name }} <span class="says">{{ $before->arrivals === [] ? 'was silent' : 'was heard' }}, {{ $after->arrivals === [] ? 'is silent now' : 'is heard now' }}</span></span>

@props(['before', 'after'])
<x-verdict :verdict="$before->verdict" :silent="! $before->isHeard()"
    /><span aria-hidden="true">→</span><x-verdict :verdict="$after->verdict" :silent="! $after->isHeard()" />
<span><strong>{{ $after->source->name }}</strong> at {{ $after->listener->name }}
    <span class="says">{{ ! $before->isHeard() ? 'was silent' : 'was heard' }}, {{ ! $after->isHeard() ? 'is silent now'
    : 'is heard now' }}</span></span>

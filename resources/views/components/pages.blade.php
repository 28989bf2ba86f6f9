@props(['of', 'label'])
{{-- The way to newer and older ones of a list that goes by key. --}}
@if ($of->hasPages())
    <nav class="pages" aria-label="{{ $label }}">
        @if (! $of->onFirstPage()) <a href="{{ $of->previousPageUrl() }}" rel="prev">Newer</a> @endif
        {{ $slot }}
        @if ($of->hasMorePages()) <a href="{{ $of->nextPageUrl() }}" rel="next">Older</a> @endif
    </nav>
@endif

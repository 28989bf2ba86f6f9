@props(['of', 'label', 'back' => 'Newer', 'on' => 'Older'])
{{-- The way to the other pages of a list. --}}
@if ($of->hasPages())
    <nav class="pages" aria-label="{{ $label }}">
        @if (! $of->onFirstPage()) <a href="{{ $of->previousPageUrl() }}" rel="prev">{{ $back }}</a> @endif
        {{ $slot }}
        @if ($of->hasMorePages()) <a href="{{ $of->nextPageUrl() }}" rel="next">{{ $on }}</a> @endif
    </nav>
@endif

@props(['page'])
{{-- Cells in which so many ways meet that a page can't wait for all of them. --}}
@php $standing = $page->hearingOn(); @endphp
<div class="uncounted" role="note">
    <p><strong>{{ HiddenWire\Core\Quantity\Count::of($page->uncounted(), 'cell') }} not counted.</strong>
        @if ($standing === 'done') More ways meet there than can be counted at all: switch off routes or leads that nobody needs.
        @elseif ($standing === 'asked') It is being counted on in the background. <a href="{{ $page->url([]) }}">Look again</a>
        @else So many ways meet there that it takes longer than a page can wait.
        @endif</p>
    @if ($standing === null)
        <form method="post" action="{{ route('rigs.hear-on', $page->record->id) }}">@csrf<input type="hidden" name="situation"
            value="{{ $page->situation->id }}"><button class="btn btn-sm btn-ink" type="submit">Count on in the background</button></form>
    @endif
</div>

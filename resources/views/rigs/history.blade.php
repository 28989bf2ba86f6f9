<x-rig-frame :page="$page">
    <div class="history">
        <h2>History</h2>
        <p class="quiet">Every state of the rig is kept. Undo leads to the state that the present one was made from; nothing is lost by it.</p>
        <ol class="revisions" reversed>
            @foreach ($revisions as $revision)
                <li @if ($revision->number === $page->record->at) class="now" aria-current="true" @endif>
                    <span class="figures">{{ $revision->number }}</span>
                    <span class="what">{{ $revision->what }}@if ($revision->number === $page->record->at) <span class="tag">now</span>@endif</span>
                    <span class="quiet">{{ $revision->user?->name ?? 'somebody' }}, {{ $revision->created_at->diffForHumans() }}</span>
                    @if ($revision->number !== $page->record->at) <a href="{{ route('rigs.compare', [$page->record->id, $revision->number, $page->record->at]) }}">Compare<span class="visually-hidden"> revision {{ $revision->number }} with now</span></a> @else <span></span> @endif
                    @if ($revision->number !== $page->record->at && $page->canEdit)
                        <form method="post" data-send action="{{ route('rigs.restore', [$page->record->id, $revision->number]) }}">
                            @csrf
                            <input type="hidden" name="revision" value="{{ $page->record->revision }}">
                            <button type="submit" class="do">Bring back<span class="visually-hidden"> revision {{ $revision->number }}</span></button>
                        </form>
                    @endif
                </li>
            @endforeach
        </ol>
        {{ $revisions->links('pagination::simple-bootstrap-5') }}
    </div>
</x-rig-frame>

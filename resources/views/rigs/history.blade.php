<x-rig-frame :page="$page">
    <div class="history">
        <h2>History</h2>
        @if ($page->record->thins) <p class="quiet">Of revisions that are older than {{ App\Rigs\ThinHistory::DAYS }} days the first and the
            last of each day stay, those with a name, and those of which a book, a test or a recording was made.</p>
        @else <p class="quiet">Every revision of the rig is kept. Undo goes back one revision, nothing is lost.</p> @endif
        <ol class="revisions" reversed>
            @foreach ($list->revisions as $revision)
                <li @if ($list->isNow($revision)) class="now" aria-current="true" @endif>
                    <span class="figures">{{ $revision->number }}</span>
                    <span class="what">@if ($revision->name !== '')<strong>{{ $revision->name }}</strong>
                        @endif{{ $revision->what }}@if ($list->isNow($revision)) <span class="tag">now</span>@endif</span>
                    <span class="quiet">{{ $list->by($revision) }}@if ($list->gone($revision) !== ''); {{
                        $list->gone($revision) }}@endif</span>
                    <div class="revision-more"><a href="{{ route('rigs.book', ['rig' => $page->record->id,
                        'revision' => $revision->number]) }}">Book<span class="visually-hidden">
                        of revision {{ $revision->number }}</span></a>
                        @if ($page->canEdit) <details class="stock-more" data-menu>
                            <summary>Name this revision<span class="visually-hidden">: {{ $revision->number }}</span></summary>
                            <form class="row-form" method="post"
                                action="{{ route('rigs.revision.name', [$page->record->id, $revision->number]) }}">@csrf
                                @method('put')<input name="name" maxlength="{{ Bounds::SHORT_NAME }}" value="{{ $revision->name }}"
                                placeholder="as shown on the night" aria-label="Name of revision {{ $revision->number }}"><button class="do"
                                type="submit">Save</button></form>
                        </details> @endif</div>
                    @if (! $list->isNow($revision)) <a href="{{ $list->compareUrl($revision) }}">Compare<span class="visually-hidden">
                        revision {{ $revision->number }} with now</span></a> @else <span></span> @endif
                    @if (! $list->isNow($revision) && $page->canEdit)
                        <form method="post" data-send action="{{ route('rigs.restore', [$page->record->id, $revision->number]) }}">
                            @csrf
                            <input type="hidden" name="revision" value="{{ $page->record->revision }}">
                            <button type="submit" class="do">Restore<span class="visually-hidden">
                                revision {{ $revision->number }}</span></button>
                        </form>
                    @endif
                </li>
            @endforeach
        </ol>
        <x-pages :of="$list->revisions" label="Pages of the history" />
        @can('manage', $page->record) <details class="thin-out"><summary>Old revisions</summary>
            @if ($page->record->thins) <p>They are thinned out in the background, once a day.</p>
            @else <p>They can be thinned out: of those that are older than {{ App\Rigs\ThinHistory::DAYS }} days the first and the last of
                each day stay, those with a name, and those of which a book, a test or a recording was made. What is thinned out can't be
                brought back.</p> @endif
            <form method="post" action="{{ route('rigs.history.thins', $page->record->id) }}">@csrf @method('put')<input type="hidden"
                name="thins" value="{{ $page->record->thins ? '0' : '1' }}"><button class="do" type="submit">{{ $page->record->thins
                ? 'Keep every revision' : 'Thin out old revisions' }}</button></form></details> @endcan
    </div>
</x-rig-frame>

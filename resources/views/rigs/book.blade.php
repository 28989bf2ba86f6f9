@php
    use App\Exports\Paper;
    use App\ViewModels\MapDepth;
    use HiddenWire\Core\Book\ScheduleOrder;
@endphp
<x-rig-frame :page="$page">
    <div class="book-desk">
        <aside class="book-form" aria-label="The book">
            <h2>Rig book</h2>
            <form method="get" action="{{ route('rigs.book', $page->record->id) }}">
                @if ($book->revision() !== null) <input type="hidden" name="revision"
                    value="{{ $book->revision() }}"><p>Of revision {{ $book->revision() }}.
                    <a href="{{ route('rigs.book', $page->record->id) }}">As it is now</a></p> @endif
                <details data-keep><summary>{{ $book->partsWords() }}</summary>
                <fieldset>
                    <legend class="visually-hidden">Parts</legend>
                    @foreach ($book->titles() as $key => $title) <label class="tick"><input type="checkbox" name="parts[]"
                        value="{{ $key }}" @checked($book->has($key))> {{ $title }}</label> @endforeach
                </fieldset>
                </details>
                <label>Paper <select class="form-select" name="paper">@foreach (Paper::cases() as $paper)
                    <option value="{{ $paper->value }}" @selected($paper === $book->paper)>{{ $paper->label() }}</option>
                    @endforeach</select></label>
                <label>Map in files <select class="form-select" name="map">@foreach (MapDepth::cases() as $depth)
                    <option value="{{ $depth->value }}" @selected($depth === $book->depth)>{{ $depth->label() }}</option>
                    @endforeach</select></label>
                <label>Cable schedule <select class="form-select" name="order">@foreach (ScheduleOrder::cases() as $order)
                    <option value="{{ $order->value }}" @selected($order === $book->order)>{{ $order->words() }}</option>
                    @endforeach</select></label>
                <label>Labels <select class="form-select" name="labels">@foreach ($book->stocks() as $key => $name)
                    <option value="{{ $key }}" @selected($key === $book->stock->key)>{{ $name }}</option> @endforeach</select></label>
                <button class="btn btn-sm btn-ink" type="submit">Show</button>
            </form>
            @if ($errors->any()) <p class="form-trouble" role="alert">{{ implode(' ', $errors->all()) }}</p> @endif
            <h3>On paper</h3>
            <form method="post" action="{{ route('rigs.books.store', $page->record->id) }}">
                @csrf
                @foreach ($book->query() as $name => $value) @foreach (is_array($value) ? $value : [$value] as $one)
                    <input type="hidden" name="{{ $name }}{{ is_array($value) ? '[]' : '' }}" value="{{ $one }}"> @endforeach @endforeach
                <button class="btn btn-sm btn-ink" type="submit">Make the PDF</button>
            </form>
            <ul class="plain-list made-books">
                @foreach ($book->made as $one)
                    <li data-key="book-{{ $one->id }}-{{ $one->state->value }}" @if ($one->state->isOpen()) x-data="madeBook"
                        data-book="{{ route('rigs.books.show', [$page->record->id, $one->id]) }}" @endif>
                        @if ($one->state === App\Models\BookState::Done)
                            <a href="{{ route('rigs.books.file', [$page->record->id, $one->id]) }}"
                            download>{{ $one->edition }}, {{ strtoupper($one->asked['paper']) }}</a> @else <strong>Book</strong> @endif
                        <span class="quiet" role="status" @if ($one->state->isOpen()) x-ref="says"
                            x-text="says" @endif>{{ $one->says() }}</span>
                        <form method="post" action="{{ route('rigs.books.destroy', [$page->record->id, $one->id]) }}">@csrf
                            @method('delete')<button class="do" type="submit">{{ $one->state->isOpen() ? 'Stop'
                            : 'Remove' }}<span class="visually-hidden"> the book {{ $one->id }}</span></button></form>
                    </li>
                @endforeach
            </ul>
            <h3>Download</h3>
            <ul class="plain-list exports">
                @foreach ($book->forms() as $key => $label)
                    <li><a href="{{ route('rigs.export', ['rig' => $page->record->id, 'format' => $key, ...$book->query()]) }}"
                    download>{{ $label }}</a></li> @endforeach
            </ul>
            @can('manage', $page->record)
                <h3>Labels for everybody</h3>
                <form method="post" action="{{ route('rigs.labels', $page->record->id) }}">
                    @csrf
                    <input type="hidden" name="labels" value="{{ $book->stock->key }}">
                    <p class="quiet">Their codes need no account: they show where a lead goes and what it carries, nothing else. Labels that
                        were printed so before open nothing any more. To withdraw them, remove the link on People.</p>
                    <button class="btn btn-sm btn-ink" type="submit" data-own>Print them</button>
                </form>
            @endcan
            <p class="quiet">This page prints as the book, too.</p>
        </aside>
        <article class="book paper-{{ $book->paper->value }}" tabindex="0"
            aria-label="Book of {{ $page->rig->name }}">@if ($book->written !== null) {!! $book->written !!} @else
            <div x-data="fetched" data-own data-key="book-{{ $page->record->revision }}"
            data-from="{{ route('rigs.book.written', ['rig' => $page->record->id,
            ...$book->query()]) }}"><p role="status"><a href="{{ route('rigs.book.written', ['rig' => $page->record->id,
            ...$book->query()]) }}">Writing the book …</a></p></div> @endif</article>
    </div>
</x-rig-frame>

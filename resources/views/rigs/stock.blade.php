@php
    use HiddenWire\Core\Equipment\Connector;
    use HiddenWire\Core\Equipment\Family;
    use HiddenWire\Core\Rig\PlaceKind;
    $words = fn (string $value) => str_replace('-', ' ', $value);
    $places = $page->rig->places;
    $unit = $stock->chosen;
@endphp
<x-rig-frame :page="$page">
    @if ($places !== [])
    <x-slot:tools>
        <nav class="stock-shows" aria-label="Show"><span class="quiet">Show:</span>
            @foreach ($stock->shows() as $key => $words_)
                <a href="{{ $page->url(['show' => $key ?: null]) }}" @if ($stock->shown === $key) aria-current="true" @endif>{{ $words_
                    }}</a> @endforeach
        </nav>
    </x-slot:tools>
    @endif
    <div @class(['stock', 'with-sheet' => $unit !== null])>
        <div class="stock-read">
        @if ($page->canEdit)
        <section class="stock-add adding" aria-label="Add">
            <div class="add-parts">
                <form class="add-list" method="get" action="{{ route('rigs.stock', $page->record->id) }}" aria-labelledby="add-list-title">
                    <h2><span id="add-list-title">Add equipment</span> <small>one thing a line, or a pasted list</small></h2>
                    <label><span class="visually-hidden">One thing a line</span> <textarea class="form-control" name="list" data-live
                        rows="{{ $places === [] ? 6 : 3 }}" maxlength="{{ App\ViewModels\EquipmentList::LENGTH }}" placeholder="Desk:
2 dynamic microphones
Ann's mic = condenser microphone">{{ $stock->list?->text }}</textarea></label>
                    <button class="btn btn-sm btn-ink" type="submit">Read the list</button>
                    <span class="quiet">A line with a colon at its end names a place.</span>
                </form>
                @if ($stock->list !== null) <x-equipment-list :page="$page" :list="$stock->list" />
                @elseif ($places !== [])
                <div class="add-one">
                        <h2 id="new-unit">or one by one</h2>
                        <x-edit :page="$page" class="add-fields" :fields="['edit' => 'add-unit', 'situation' => '']">
                            <x-model-field />
                            <div class="two"><label>Place <select class="form-select" name="place">@foreach ($places as $place)
                                <option value="{{ $place->id }}" @selected($place->id === $stock->lastPlace())>{{ $place->name }}</option>
                                @endforeach</select></label>
                            <label>How many <input class="form-control" type="number" name="count" min="1" max="24" value="1"></label></div>
                            <label>Name <input class="form-control" name="name" maxlength="{{ Bounds::NAME }}"
                                placeholder="same as the model"></label>
                            <button class="btn btn-sm btn-ink" type="submit">Add</button>
                        </x-edit>
                </div>
                @endif
            </div>
            <div class="add-more">
                <details class="stock-part" data-keep>
                    <summary><h2>New place</h2></summary>
                    <x-edit :page="$page" :fields="['edit' => 'place', 'situation' => '']">
                        <div class="two"><label>Name <input class="form-control" name="name" maxlength="{{ Bounds::NAME }}"
                            required></label>
                        <label>Kind <select class="form-select" name="kind">@foreach (PlaceKind::cases() as $kind)
                            <option value="{{ $kind->value }}">{{ $kind->value }}</option> @endforeach</select></label></div>
                        <button class="btn btn-sm btn-ink" type="submit">Add the place</button>
                    </x-edit>
                </details>
                @if ($places !== [])
                <details class="stock-part" data-keep @if ($stock->isSearching) open @endif>
                    <summary><h2>Search for what is needed</h2></summary>
                    <form class="stock-search" method="get" action="{{ route('rigs.stock', $page->record->id) }}" role="search">
                        <input class="form-control" type="search" name="q" value="{{ $stock->text }}" placeholder="name, use or socket"
                            aria-label="Name, use or socket">
                        <select class="form-select" name="family"
                            aria-label="Family"><option value="">any family</option>@foreach (Family::cases() as $case)
                            <option value="{{ $case->value }}" @selected($case === $stock->family)>{{ $words($case->value) }}</option>
                            @endforeach</select>
                        <select class="form-select" name="has"
                            aria-label="Socket that it needs"><option value="">any socket</option>@foreach (Connector::cases() as $case)
                            <option value="{{ $case->value }}" @selected($case === $stock->connector)>{{ $case->words() }}</option>
                            @endforeach</select>
                        <button class="do" type="submit">Search</button>
                    </form>
                    @if ($stock->isSearching)
                        <p class="quiet">{{ count($stock->found) }} of {{ count($stock->models) }} models</p>
                        <ul class="stock-found">
                            @forelse ($stock->found as $one)
                                <li><strong>{{ $one->name }}</strong> <small>{{ $one->summary }}</small>
                                    <x-edit :page="$page" class="row-form"
                                        :fields="['edit' => 'add-unit', 'model' => $one->id, 'situation' => '']">
                                        <select name="place" aria-label="Place for {{ $one->name }}">@foreach ($places as $place)
                                            <option value="{{ $place->id }}">{{ $place->name }}</option> @endforeach</select>
                                        <button class="do" type="submit">Add<span class="visually-hidden">
                                            a {{ $one->name }}</span></button>
                                    </x-edit></li>
                            @empty <li class="quiet">Nothing has all of that.
                                <a href="{{ route('models.create') }}">Make a model of your own.</a></li> @endforelse
                        </ul>
                    @endif
                </details>
                @endif
                <details class="stock-part">
                    <summary><h2>Rig details</h2></summary>
                    <x-edit :page="$page"  data-save :fields="['edit' => 'describe-rig', 'situation' => '']">
                        <label>Name of the rig <input class="form-control" name="name" maxlength="{{ Bounds::NAME }}" required
                            value="{{ $page->rig->name }}"></label>
                        <label>What it is for <textarea class="form-control" name="summary" rows="3"
                            maxlength="{{ Bounds::SUMMARY }}">{{ $page->rig->summary }}</textarea></label>
                        <div class="two"><label>First day of use <input class="form-control" name="first_day" type="date"
                            value="{{ $page->rig->days?->from }}"></label>
                        <label>Last day <input class="form-control" name="last_day" type="date"
                            value="{{ $page->rig->days?->to }}"></label></div>
                        <button class="btn btn-sm btn-ink" type="submit">Save</button>
                    </x-edit>
                </details>
                <p class="quiet"><a href="{{ route('catalogue') }}">Catalogue</a> <a href="{{ route('models') }}">Own models</a></p>
            </div>
        </section>
        @endif
        @if ($page->rig->days !== null) <div x-data="fetched" data-own data-key="twice-{{ $page->record->revision }}"
            data-from="{{ route('rigs.twice', $page->record) }}"></div> @endif
        <section class="stock-places" aria-label="Units by place" x-data="several" x-on:change="chosen" x-on:redrawn.document="tally"
            x-bind:data-none="isNone">
            @if ($places === []) <p class="quiet">Nothing is here yet. Write what there is into the list, one thing a line.</p> @endif
            @foreach ($places as $place)
                <article class="stock-place" id="place-{{ $place->id }}">
                    <h2>@if ($page->canEdit && $stock->unitsIn($place) !== [])
                        <input type="checkbox" class="with-scripts" data-all data-own aria-label="All units of {{ $place->name }}"> @endif
                        <span>{{ $place->name }}</span> <small>{{ $stock->sizeOf($place) }}</small></h2>
                    @if ($page->canEdit)
                        <details class="stock-more place-more">
                            <summary title="Rename or remove"><i class="bi bi-three-dots" aria-hidden="true"></i><span
                                class="visually-hidden">Rename or remove {{ $place->name }}</span></summary>
                            <x-edit :page="$page" class="row-form"
                                :fields="['edit' => 'rename', 'thing' => 'places', 'id' => $place->id]"><input name="name"
                                maxlength="{{ Bounds::NAME }}" required value="{{ $place->name }}"
                                aria-label="Name of {{ $place->name }}"><button class="do" type="submit">Rename</button></x-edit>
                            <x-edit :page="$page" :fields="['edit' => 'remove-place', 'place' => $place->id]"><button class="do"
                                type="submit">Remove {{ $place->name }}@if ($stock->goesWithPlace($place) > 0), with {{
                                $stock->goesWithPlace($place) }} units @endif</button></x-edit>
                        </details>
                    @endif
                    <ul>
                        @foreach ($stock->platesIn($place) as $plate)
                            @php $one = $plate->unit; @endphp
                            <li @class(['unit-plate', 'chosen' => $one === $unit])>
                                @if ($page->canEdit) <input type="checkbox" name="units[]" value="{{ $one->id }}" form="several"
                                    aria-label="Choose {{ $one->name }}"> @endif
                                <span class="socks">@if ($plate->ins !== [])<x-sockets :marks="$plate->ins" />@endif</span>
                                <a href="{{ $page->url(['select' => $one === $unit ? null : "unit:{$one->id}"]) }}" title="{{
                                    $plate->model }}" @if ($one === $unit) aria-current="true" @endif>{{ $one->name }}</a>
                                <span class="socks outs">@if ($plate->outs !== [])<x-sockets :marks="$plate->outs" />@endif</span>
                            </li>
                            @if ($stock->hasSlip($plate))
                                <li class="program-slip"><small>runs {{ $stock->programsOf($plate) }}</small>
                                    <ul>@foreach ($plate->programs as $program)
                                        <li @if ($program === $unit) class="chosen" @endif>@if ($page->canEdit) <input type="checkbox"
                                            name="units[]" value="{{ $program->id }}" form="several" aria-label="Choose {{ $program->name
                                            }}"> @endif<a href="{{ $page->url(['select' => $program === $unit ? null
                                            : "unit:{$program->id}"]) }}" title="{{ $page->rig->modelOf($program)->name }}"
                                            @if ($program === $unit) aria-current="true" @endif>{{ $program->name }}</a></li>
                                    @endforeach</ul></li>
                            @endif
                        @endforeach
                    </ul>
                </article>
            @endforeach
            @if ($page->canEdit && $page->rig->units !== [])
                <x-edit :page="$page" id="several" class="several" x-bind:data-none="isNone"
                    :fields="['edit' => 'units', 'situation' => '']">
                    <span class="with-scripts" x-text="says" role="status"></span>
                    <select name="place" aria-label="Place to move the chosen units to">@foreach ($places as $place)
                        <option value="{{ $place->id }}">{{ $place->name }}</option> @endforeach</select>
                    <button class="do" type="submit" name="do" value="move">Move there</button>
                    <button class="do" type="submit" name="do" value="copy">Copy</button>
                    <button class="do" type="submit" name="do" value="remove">Remove</button>
                    <button class="do with-scripts" type="button" x-on:click="clear">Choose none</button>
                </x-edit>
            @endif
        </section>
        @if ($places !== [])
        <p class="socket-legend">Ins left, outs right.@foreach ($stock->shapes() as $mark) <span><svg
            class="sock realm-{{ $mark->realm->value }}" viewBox="-8 -8 16 16" aria-hidden="true"><x-socket-shape
            :shape="$mark->shape" /></svg>{{ $mark::SHAPES[$mark->shape] }}</span>@endforeach <span class="legend-end"><svg
            class="sock realm-analog" viewBox="-8 -8 16 16" aria-hidden="true"><x-socket-shape shape="jack" /></svg>plugged <svg
            class="sock realm-analog free" viewBox="-8 -8 16 16" aria-hidden="true"><x-socket-shape shape="jack" /></svg>free</span></p>
        @endif
        </div>
        @if ($unit !== null)
        <aside class="stock-add unit-sheet" aria-label="{{ $unit->name }}">
                @php $model = $page->rig->modelOf($unit); @endphp
                <a class="sheet-close" data-key-close href="{{ $page->url(['select' => null]) }}"
                    aria-label="Close the sheet"><i class="bi bi-x-lg" aria-hidden="true"></i></a>
                <h2>{{ $unit->name }}</h2>
                <p class="sheet-sub">{{ $model->name }} · <a href="{{ $page->url([], 'wiring') }}">see it on the map</a></p>
                <x-edit :page="$page"  data-save :fields="['edit' => 'describe-unit', 'unit' => $unit->id]">
                    <label>Name <input class="form-control" name="name" maxlength="{{ Bounds::NAME }}" required
                        value="{{ $unit->name }}"></label>
                    <div class="two"><label>Firmware <input class="form-control" name="firmware" maxlength="{{ Bounds::NOTE }}"
                        value="{{ $unit->firmware }}"></label>
                    <label>Serial number <input class="form-control" name="serial" maxlength="{{ Bounds::NOTE }}"
                        value="{{ $unit->serial }}"></label></div>
                    <div class="two"><label>Price <input class="form-control" name="price" maxlength="{{ Bounds::PRICE }}"
                        value="{{ $unit->price }}"></label>
                    <label>Supplier <input class="form-control" name="supplier" maxlength="{{ Bounds::SUPPLIER }}"
                        value="{{ $unit->supplier }}"></label></div>
                    @if ($model->family->isHost())
                        <div class="two"><label>Operating system <input class="form-control" name="system" maxlength="{{ Bounds::NOTE }}"
                            value="{{ $unit->system?->name }}" list="systems" autocomplete="off"></label>
                        <datalist id="systems">@foreach ($stock->systems() as $name) <option value="{{ $name }}"></option>
                            @endforeach</datalist>
                        <label>Its version <input class="form-control" name="system_version" maxlength="{{ Bounds::NOTE }}"
                            value="{{ $unit->system?->version }}" list="system-versions" autocomplete="off"></label>
                        <datalist id="system-versions">@foreach ($stock->versions() as $version) <option value="{{ $version }}"></option>
                            @endforeach</datalist></div>
                        <label>What it can do <select class="form-select" name="system_kind"><option value="">not said: loopback is
                            taken for granted</option>@foreach (\HiddenWire\Core\Rig\SystemKind::cases() as $case)
                            <option value="{{ $case->value }}" @selected($unit->system?->kind === $case)>{{ $case->words() }}</option>
                            @endforeach</select></label>
                    @endif
                    <x-noted :noted="$stock->noted()" />
                    <label>Start-up time, s <input class="form-control" name="ready_s" inputmode="numeric"
                        value="{{ $unit->readyS }}"></label>
                    <label>Manuals and drivers, one a line: name, then address
                        <textarea class="form-control" name="links" rows="2"
                        placeholder="Manual https://…">{{ $stock->linksText() }}</textarea></label>
                    <label>Notes <textarea class="form-control" name="notes" rows="3"
                        maxlength="{{ Bounds::NOTES }}">{{ $unit->notes }}</textarea></label>
                    <button class="btn btn-sm btn-ink" type="submit">Save</button>
                </x-edit>
                <x-named-settings :page="$page" :unit="$unit" />
                <x-reasons :page="$page" :about="$stock->reasonable()" />
                <x-facts :page="$page" :about="$stock->reasonable()" />
                @if ($stock->deviceSockets() !== [])
                    <h3>Measured delay</h3>
                    @foreach ($stock->deviceSockets() as $ref => [$name, $value])
                        <x-edit :page="$page" class="row-form" :fields="['edit' => 'measure', 'about' => $ref, 'kind' => 'delay',
                        'situation' => '']"><label>{{ $name }} <input type="number" step="any" min="0" max="5000" name="value"
                        value="{{ $value }}" placeholder="usual"> ms</label>
                        <button class="do" type="submit">Save<span class="visually-hidden">
                        the delay of {{ $name }}</span></button></x-edit> @endforeach
                @endif
                @if ($model->grows !== [])
                    <h3>Size</h3>
                    @foreach ($model->grows as $growth)
                        <x-edit :page="$page" class="row-form growth"
                            :fields="['edit' => 'grow-unit', 'unit' => $unit->id, 'growth' => $growth->id, 'situation' => '']">
                            <label>Number of {{ $growth->label }}s <input type="number" name="count" required
                                min="{{ max(1, $growth->least) }}" max="{{ $growth->most }}" step="1" value="{{ $growth->count($model) }}"
                                aria-label="Number of {{ $growth->label }}s of {{ $unit->name }}"></label>
                            <button class="do" type="submit">Set<span class="visually-hidden">
                                the number of {{ $growth->label }}s</span></button>
                            @if ($growth->count($model) < $growth->most) <button class="do" type="submit" name="count"
                                value="{{ $growth->count($model) + 1 }}" formnovalidate>One more {{ $growth->label }}</button> @endif
                            <small>{{ max(1, $growth->least) }} to {{ $growth->most }}</small>
                        </x-edit>
                    @endforeach
                    <p class="quiet">The last goes first, and only when nothing uses it.</p>
                @endif
                <h3>Move to another place</h3>
                <x-edit :page="$page" class="row-form" :fields="['edit' => 'move-unit', 'unit' => $unit->id]">
                    <select name="place" aria-label="Place of {{ $unit->name }}">@foreach ($places as $place)
                        <option value="{{ $place->id }}" @selected($place->id === $unit->place)>{{ $place->name }}</option>
                        @endforeach</select>
                    <button class="do" type="submit">Move</button>
                </x-edit>
                <h3>Replace with</h3>
                <form class="row-form" method="get" action="{{ route('rigs.stock', $page->record->id) }}">
                    <input type="hidden" name="select" value="unit:{{ $unit->id }}">
                    <select name="swap" aria-label="New model for {{ $model->name }}">@foreach ($stock->successors() as $id => $name)
                        <option value="{{ $id }}" @selected($stock->swap?->model->id === $id)>{{ $name }}</option> @endforeach</select>
                    <button class="do" type="submit">Check the swap</button>
                </form>
                @if ($stock->swap !== null)
                    <div class="swap" role="status">
                        @if ($stock->losses() === [])
                            <p>Everything fits: cables, settings and picks stay.</p>
                        @else
                            <p>These will be lost:</p>
                            <ul>@foreach ($stock->losses() as $loss) <li>{{ $loss }}</li> @endforeach</ul>
                        @endif
                        <x-edit :page="$page" :fields="['edit' => 'swap-unit', 'unit' => $unit->id,
                            'model' => $stock->swap->model->id]"><button class="btn btn-sm btn-ink"
                            type="submit">Replace with {{ $stock->swap->model->name }}</button></x-edit>
                    </div>
                @endif
                <h3>How it is set, in pictures</h3>
                <ul class="pictures">
                    @foreach ($stock->pictures() as $picture)
                        <li>
                            <a href="{{ route('rigs.pictures.show', [$page->record->id,
                                $picture->id]) }}"><img src="{{ route('rigs.pictures.show', [$page->record->id, $picture->id]) }}"
                                width="{{ $picture->width }}" height="{{ $picture->height }}" loading="lazy"
                                alt="{{ $picture->caption === '' ? "Picture of {$unit->name}" : $picture->caption }}"></a>
                            <span>{{ $picture->caption }} <small>{{ $picture->created_at->toDateString() }}</small></span>
                            @if ($page->canEdit) <form method="post"
                                action="{{ route('rigs.pictures.destroy', [$page->record->id, $picture->id]) }}"
                                data-confirm="Delete this picture? This can't be undone.">@csrf
                                @method('delete')<button class="plain" type="submit"
                                aria-label="Delete the picture {{ $picture->caption }}"><i class="bi bi-trash3"
                                aria-hidden="true"></i></button></form> @endif
                        </li>
                    @endforeach
                </ul>
                @if ($page->canEdit)
                    <form method="post" action="{{ route('rigs.pictures.store', $page->record->id) }}" enctype="multipart/form-data">
                        @csrf
                        <input type="hidden" name="unit" value="{{ $unit->id }}">
                        <label>Picture, JPEG, PNG or WebP, 8 MB at most <input class="form-control" type="file" name="picture"
                            accept="image/jpeg,image/png,image/webp" required></label>
                        <label>What it shows <input class="form-control" name="caption" maxlength="{{ Bounds::NAME }}"></label>
                        <button class="btn btn-sm btn-ink" type="submit">Attach</button>
                    </form>
                    @php $goes = $stock->goesWith($unit); @endphp
                    <h3>Copy or remove</h3>
                    <x-edit :page="$page" :fields="['edit' => 'copy-unit', 'unit' => $unit->id]"><button class="do" type="submit"
                        title="Another of these, set the same">Copy<span class="visually-hidden"> {{ $unit->name }}</span></button></x-edit>
                    <x-edit :page="$page" :fields="['edit' => 'remove-unit', 'unit' => $unit->id]"><button class="do"
                        type="submit">{{ $goes === '' ? 'Remove (nothing is connected)'
                        : "Remove, and with it {$goes}" }}</button></x-edit>
                @endif
        </aside>
        @endif
    </div>
</x-rig-frame>

@php
    use HiddenWire\Core\Rig\ListenerKind;
    use HiddenWire\Core\Rig\SourceKind;
    use HiddenWire\Core\Signal\Verdict;
    use App\ViewModels\Brush;
    use App\ViewModels\WayStrip;
    use App\ViewModels\WishScope;
@endphp
<x-rig-frame :page="$page">
    <x-slot:tools>
        @if ($page->canEdit && $page->rig->sources !== [] && $page->rig->listeners !== [])
        <div class="painter" role="toolbar" aria-label="Wishes">
            <span class="brushes">
                <span class="quiet">Click a cell to:</span>
                <a href="{{ $page->url(['brush' => null]) }}" data-brush="" @if ($page->brush === null)
                    aria-current="true" @endif>select</a>
                @foreach (Brush::cases() as $brush)
                    <a href="{{ $page->url(['brush' => $brush->value]) }}" data-brush="{{ $brush->value }}"
                        @if ($page->brush === $brush) aria-current="true" @endif>{{ $brush->label() }}
                        <kbd aria-hidden="true">{{ $brush->key() }}</kbd></a>
                @endforeach
            </span>
            <span class="scopes">
                <span class="quiet">Applies to:</span>
                <a href="{{ $page->url(['scope' => 'all']) }}" @if ($page->scope === WishScope::All)
                    aria-current="true" @endif>all situations</a>
                <a href="{{ $page->url(['scope' => 'here']) }}" @if ($page->scope === WishScope::Here)
                    aria-current="true" @endif>{{ $page->situation->name }} only</a>
            </span>
            <x-edit :page="$page" class="visually-hidden" data-paint
                :fields="['edit' => 'wishes', 'situation' => $page->scopeSituation()]"><input type="hidden" name="cells"
                value=""><input type="hidden" name="want" value=""></x-edit>
        </div>
        @endif
    </x-slot:tools>
    <div @class(['wishes', 'as-table' => $page->asked('as') === 'table' || ! $table->isShort()])>
        @if ($table->isShort()) <x-by-listener :page="$page" :list="$table->byListener()" /> @endif
        <div class="hearing-scroll" tabindex="0" role="region" aria-label="Hearing table, {{ $page->situation->name }}">
            @if ($page->rig->sources === [] || $page->rig->listeners === [])
                <p class="quiet">Begin with what sounds and who listens; what each must, may or must not hear is said cell by cell.
                No equipment is needed for that yet.</p> @endif
            <table class="hearing @if ($page->brush !== null) painting @endif" x-data="grid" data-brush="{{ $page->brush?->value }}"
                x-on:keydown="key" x-on:click="click" x-on:pointerdown="press" x-on:pointerover="over" x-on:dragstart="hold"
                x-on:pointerup.window="lift" x-on:redrawn.document="remark" x-on:click.document="take">
                <caption class="visually-hidden">Who hears what: {{ $page->situation->name }}</caption>
                <thead>
                    <tr>
                        <th scope="col">Sounds <small>levels in dB</small></th>
                        @foreach ($page->rig->listeners as $listener)
                            <th scope="col" data-column="{{ $listener->id }}"><button type="button" class="column"
                                title="The whole column of {{ $listener->name }}: m, y, n or x sets the wish">{{ $listener->name
                                }}</button><small>{{ $listener->kind->value }}</small></th>
                        @endforeach
                    </tr>
                </thead>
                <tbody x-ignore>
                    @foreach ($page->rig->sources as $source)
                        @php $pen = $page->penOf($source->id); @endphp
                        <tr>
                            <th scope="row" data-row="{{ $source->id }}">
                                <a href="{{ $page->penUrl($source->id) }}" @if ($pen !== null) class="pen-name pen-{{ $pen->value }}" @endif
                                    title="Highlight {{ $source->name }}">{{ $source->name }}</a>
                                <small>{{ $source->kind->value }}</small>
                            </th>
                            @foreach ($page->rig->listeners as $listener)
                                @php
                                    $pair = $page->hearing->pair($source->id, $listener->id);
                                    $isChosen = $page->pair === $pair;
                                    $changes = $page->preview?->changes($pair) ?? false;
                                    $shown = $page->preview?->pair($pair) ?? $pair;
                                    $trouble = WayStrip::levelTrouble($shown);
                                    $level = $shown->level() === null ? '' : $shown->level()->text().($trouble === '' ? '' : ' dB');
                                    $want = $trouble ?: WayStrip::wished($pair->wish);
                                    $says = "{$source->name} at {$listener->name}: ".WayStrip::say($shown).'.';
                                    $classes = Illuminate\Support\Arr::toCssClasses(['at-odds' => $shown->verdict->isAtOdds(),
                                        'chosen' => $isChosen, 'changed' => $changes]);
                                    $isEmpty = $shown->verdict === Verdict::Silent && $want === '' && $classes === '';
                                @endphp
                                {{-- A large rig has thousands of cells: nothing that is empty is written. --}}
                                <td data-cell="{{ $source->id }}:{{ $listener->id }}" @if ($classes !== '')
                                    class="{{ $classes }}" @endif>@if ($isEmpty)<a aria-label="{{ $says }}" href="{{
                                    $page->url(['pair' => "{$source->id}:{$listener->id}"]) }}"></a>@else<a
                                    href="{{ $page->url($isChosen ? ['pair' => null, 'pens' => implode(',', array_diff($page->pens,
                                        [$source->id]))] : ['pair' => "{$source->id}:{$listener->id}"]) }}"
                                    @if ($isChosen) aria-current="true" @endif><x-verdict :verdict="$shown->verdict"
                                        :silent="! $shown->isHeard()" /><span class="visually-hidden">{{ $says }}</span>@if ($level
                                        !== '')<span class="figures">{{ $level }}</span>@endif @if ($changes) <span class="want was">was
                                            <x-verdict :verdict="$pair->verdict" :silent="! $pair->isHeard()"
                                            /><span class="visually-hidden">{{ WayStrip::say($pair) }}</span></span> @elseif ($want !== '')
                                            <span @class(['want', 'is-plain' => $trouble === '' && WayStrip::isPlain($shown)])>{{ $want
                                            }}</span> @endif</a>@endif</td>
                            @endforeach
                        </tr>
                    @endforeach
                </tbody>
            </table>
            @if ($page->canEdit)
            <div class="add-common">
                @foreach (['sound' => ['add-source', $table->commonSounds()],
                    'listener' => ['add-listener', $table->commonListeners()]] as $word => [$edit, $common])
                    @if ($common !== []) <span class="quiet">new {{ $word }}:</span> @endif
                    @foreach ($common as $name => $kind)
                        <x-edit :page="$page" :fields="['edit' => $edit, 'name' => $name, 'kind' => $kind, 'situation' => '']"><button
                        class="feed" type="submit">{{ $name }}<span class="visually-hidden">, new {{ $word }}</span></button></x-edit>
                        @endforeach
                @endforeach
            </div>
            <div class="add-row">
                @foreach (['add-source' => ['sound', SourceKind::cases(), $table->origins, 'starts at'],
                    'add-listener' => ['listener', ListenerKind::cases(), $table->ears, 'listens at']] as $edit => [$word, $kinds, $points,
                    $where])
                    <x-edit :page="$page" :fields="['edit' => $edit, 'situation' => '']">
                        <input name="name" maxlength="{{ Bounds::SHORT_NAME }}" required placeholder="New {{ $word }}"
                            aria-label="Name of the new {{ $word }}">
                        <select name="kind" aria-label="Kind of the new {{ $word }}">@foreach ($kinds as $kind)
                            <option value="{{ $kind->value }}">{{ $kind->value }}</option> @endforeach</select>
                        <select name="at" aria-label="Where the new {{ $word }} {{ $where }}"><option
                            value="">{{ $where }} … (later)</option>@foreach ($points as $ref => $name)
                            <option value="{{ $ref }}">{{ $name }}</option> @endforeach</select>
                        <button class="do" type="submit">Add<span class="visually-hidden"> the {{ $word }}</span></button>
                    </x-edit>
                @endforeach
            </div>
            <p class="quiet"><a href="{{ $page->url([], 'import-wishes') }}">Import sounds and wishes from a table</a></p>
            <x-balances :page="$page" :balances="$table->balances" />
            @if ($page->asked('ends') !== '1')
                @foreach ($table->blasts as $blast) <p class="blast"><strong>{{ $blast['listener'] }}:</strong>
                    {{ $blast['words'] }}.</p> @endforeach
                <p class="stock-more"><a href="{{ $page->url(['ends' => '1']) }}">Rename, place or remove sounds and listeners</a></p>
            @else
                <p class="stock-more"><a href="{{ $page->url() }}">Only the table</a></p>
                <ul class="ends" id="ends">
                    @foreach ($page->rig->sources as $source)
                        <li>
                            <x-edit :page="$page" class="row-form"
                                :fields="['edit' => 'rename', 'thing' => 'sources', 'id' => $source->id, 'situation' => '']"><input
                                name="name" maxlength="{{ Bounds::SHORT_NAME }}" required value="{{ $source->name }}"
                                aria-label="Name of the sound {{ $source->name }}"><button class="do" type="submit">Rename</button></x-edit>
                            @foreach ($source->origins as $origin)
                                <div class="end">starts at {{ $table->nameOf($origin->at) }}
                                    <x-number :page="$page" :fields="['edit' => 'place-sound', 'source' => $source->id,
                                    'at' => (string) $origin->at, 'situation' => '']" name="db"
                                    label="Level of {{ $source->name }} at {{ $table->nameOf($origin->at) }}" :value="$origin->db->number()"
                                    />
                                @if ($source->kind === SourceKind::Voice && count($source->origins) > 1)
                                    <x-number :page="$page" :fields="['edit' => 'distance', 'source' => $source->id,
                                        'at' => (string) $origin->at, 'situation' => '']" name="metres" unit="m" step="0.01"
                                        :from="Bounds::DISTANCE_M[0]" :to="Bounds::DISTANCE_M[1]" :value="$origin->distanceM"
                                        label="From {{ $source->name }} to {{ $table->nameOf($origin->at) }}" />
                                @endif
                                <x-edit :page="$page"
                                    :fields="['edit' => 'place-sound', 'source' => $source->id, 'at' => (string) $origin->at, 'away' => '1',
                                    'situation' => '']"><button class="plain" type="submit"
                                    aria-label="{{ $source->name }} does not start at {{ $table->nameOf($origin->at) }}"><i
                                    class="bi bi-x-lg" aria-hidden="true"></i></button></x-edit></div>
                            @endforeach
                            <x-edit :page="$page" class="row-form"
                                :fields="['edit' => 'place-sound', 'source' => $source->id, 'situation' => '']"><select name="at" required
                                aria-label="Where {{ $source->name }} starts too"><option
                                value="">starts at …</option>@foreach ($table->origins as $ref => $name)
                                <option value="{{ $ref }}">{{ $name }}</option> @endforeach</select><button class="do"
                                type="submit">Add</button></x-edit>
                            <x-edit :page="$page" class="row-form"
                                :fields="['edit' => 'loudness', 'source' => $source->id, 'situation' => '']"><label>loudness
                                <input type="number" name="loudness" step="0.1" min="-{{ Bounds::DB }}" max="{{ Bounds::DB }}"
                                value="{{ $source->loudness?->number() }}" aria-label="How loud {{ $source->name
                                }} starts, dB over nominal"> dB over nominal</label><label class="tick"><input type="checkbox"
                                name="measured" value="1" @checked($source->isMeasured)> measured</label><button class="do"
                                type="submit">Save<span class="visually-hidden"> how loud {{ $source->name
                                }} starts</span></button></x-edit>
                            <x-edit :page="$page" :fields="['edit' => 'remove-source', 'source' => $source->id, 'situation' => '']"><button
                                class="plain" type="submit" aria-label="Remove the sound {{ $source->name }}"><i class="bi bi-trash3"
                                aria-hidden="true"></i></button></x-edit>
                        </li>
                    @endforeach
                    @foreach ($page->rig->listeners as $listener)
                        <li>
                            <x-edit :page="$page" class="row-form"
                                :fields="['edit' => 'rename', 'thing' => 'listeners', 'id' => $listener->id, 'situation' => '']"><input
                                name="name" maxlength="{{ Bounds::SHORT_NAME }}" required value="{{ $listener->name }}"
                                aria-label="Name of the listener {{ $listener->name }}"><button class="do"
                                type="submit">Rename</button></x-edit>
                            @foreach ($listener->at as $ear)
                                <div class="end">listens at {{ $table->nameOf($ear) }}
                                    <x-edit :page="$page" :fields="['edit' => 'place-listener', 'listener' => $listener->id,
                                    'at' => (string) $ear, 'away' => '1', 'situation' => '']"><button class="plain" type="submit"
                                    aria-label="{{ $listener->name }} does not listen at {{ $table->nameOf($ear) }}"><i class="bi bi-x-lg"
                                    aria-hidden="true"></i></button></x-edit></div>
                            @endforeach
                            <x-edit :page="$page" class="row-form"
                                :fields="['edit' => 'place-listener', 'listener' => $listener->id, 'situation' => '']"><select name="at"
                                required aria-label="Where {{ $listener->name }} listens too"><option
                                value="">listens at …</option>@foreach ($table->ears as $ref => $name)
                                <option value="{{ $ref }}">{{ $name }}</option> @endforeach</select><button class="do"
                                type="submit">Add</button></x-edit>
                            <x-edit :page="$page" :fields="['edit' => 'remove-listener', 'listener' => $listener->id,
                                'situation' => '']"><button class="plain" type="submit"
                                aria-label="Remove the listener {{ $listener->name }}"><i class="bi bi-trash3"
                                aria-hidden="true"></i></button></x-edit>
                        </li>
                    @endforeach
                </ul>
            @endif
            @endif
            <ul class="legend">
                <li><x-verdict :verdict="Verdict::Ok" /> heard as wished</li>
                <li><x-verdict :verdict="Verdict::Ok" silent /> not heard, as wished</li>
                <li><x-verdict :verdict="Verdict::Missing" /> missing</li>
                <li><x-verdict :verdict="Verdict::Leak" /> leak</li>
                <li><x-verdict :verdict="Verdict::Doubled" /> doubled</li>
                <li><x-verdict :verdict="Verdict::OneSided" /> a side or a part is lost</li>
                <li><x-verdict :verdict="Verdict::NotAlone" /> not alone, as wished</li>
                <li><x-verdict :verdict="Verdict::Thin" /> thin: a turned copy takes the bass</li>
                <li><x-verdict :verdict="Verdict::Treated" /> not dry, or not processed, as wished</li>
                <li><x-verdict :verdict="Verdict::TooQuiet" /> too quiet</li>
                <li><x-verdict :verdict="Verdict::Overloads" /> overloads</li>
                <li><x-verdict :verdict="Verdict::Loop" /> loop</li>
                <li><x-verdict :verdict="Verdict::Unwished" /> heard, no wish set</li>
            </ul>
        </div>
        <aside class="odds-list" aria-label="Not as wished">
            @if ($page->preview !== null)
                <div class="preview-note" role="status"><strong>Preview.</strong>
                    {{ $page->preview->cure->sentence }}: {{ $page->preview->count() }} {{ Str::plural('cell',
                    $page->preview->count()) }} of {{ $page->situation->name }} would change. Nothing is changed yet.
                    <a href="{{ $page->url(['try' => null]) }}">End preview</a></div>
            @endif
            <x-causes :page="$page" />
            <h2 class="next">{{ $page->situation->name }}: {{ $page->standing() }}</h2>
            <ul>
                @foreach ($table->odds as $pair)
                    <li @if ($page->pair === $pair) class="chosen" @endif>
                        <a href="{{ $page->url(['pair' => "{$pair->source->id}:{$pair->listener->id}"]) }}">
                            <x-verdict :verdict="$pair->verdict" />
                            <span><strong>{{ $pair->source->name }}</strong> at {{ $pair->listener->name }}
                                <span class="says">{{ WayStrip::say($pair) }}</span></span>
                        </a>
                    </li>
                @endforeach
                @foreach ($page->hearing->loops() as $loop)
                    @if ($loop->isAudible())
                        <li><span class="loop-line"><x-verdict :verdict="Verdict::Loop" />
                            <span>A loop, {{ $loop->gain->text() }} dB round{{ $loop->isBound ? ' at most' : '' }}: it {{ $loop->howls()
                            ? 'howls' : "rings, and howls with {$loop->margin()?->text()} dB more" }}. <span class="says">{{ implode(' · ',
                            array_values(array_unique(array_map(fn ($hop) => $hop->label, $loop->hops)))) }}</span></span></span></li>
                    @endif
                @endforeach
            </ul>
            @if (count($page->rig->situations) > 1)
                <h2 class="next">Compare with</h2>
                <x-against :page="$page" />
            @endif
        </aside>
    </div>
    <x-slot:strip>@if ($table->strip !== null) <x-way-strip :page="$page" :strip="$table->strip" :own="$table->ownSlot"
        /> @endif</x-slot:strip>
</x-rig-frame>

@props(['page'])
@php
    use HiddenWire\Core\Equipment\CableType;
    $sheet = $page->sheet();
    [$unit, $cable, $carries] = [$sheet->unit, $sheet->cable, $sheet->carries()];
@endphp
<aside class="sheet" aria-label="Sheet">
    <a class="sheet-close" data-key-close href="{{ $page->url(['select' => null, 'with' => null]) }}"
        aria-label="Close the sheet"><i class="bi bi-x-lg" aria-hidden="true"></i></a>
    @if ($unit !== null)
        @php $model = $page->rig->modelOf($unit); @endphp
        <h2>{{ $unit->name }}</h2>
        <p class="sheet-sub">{{ $model->name }} · {{ $page->rig->places[$unit->place]->name }}@if ($unit->firmware !== '') · firmware {{
            $unit->firmware }}@endif</p>
        @if ($unit->notes !== '') <p>{{ $unit->notes }}</p> @endif
        @foreach ($sheet->reasons() as $name => $words) <p class="reason-says"><strong>{{ $name }}</strong> {{ $words }}</p> @endforeach
        @foreach ($unit->links as $link) <p class="sheet-sub"><a href="{{ $link->url }}" rel="noopener noreferrer"
            target="_blank">{{ $link->label }}</a></p> @endforeach
        <p class="sheet-sub"><a href="{{ $page->url([], 'stock') }}">name, notes, price, reasons, pictures, swap</a></p>
        @if ($page->view === 'wiring') <p class="sheet-sub"><a href="{{ $page->url(['layer' => 'dark']) }}">what goes dark without
            it</a></p> @endif
        @if ($unit->start !== null) <p class="sheet-sub">Starts as number {{ $unit->start }}{{ $unit->atLogin ? ', at login' : '' }}.</p>
            @endif
        @if ($model->sockets !== [])
            <h3>Sockets</h3>
            <table class="facts"><tbody>
                @foreach ($sheet->sockets($unit) as $row)
                    <tr>
                        <th scope="row">{{ $row['socket'] }}<small>{{ $row['words'] }}</small></th>
                        <td>@forelse ($row['cables'] as $end)
                            <a href="{{ $page->url(['select' => "cable:{$end['id']}"]) }}"><span class="tag">{{ $end['label'] }}</span>
                            {{ $end['to'] }}</a> @empty
                            @if ($row['takes'] === [])
                                <span class="quiet">free; no free socket fits its other end</span>
                                    <a href="{{ $page->connectUrl($row['ref']) }}">Connect<span class="visually-hidden">
                                    {{ $row['socket'] }}</span> …</a>
                            @else
                                <x-edit :page="$page" class="set plug" :fields="['edit' => 'plug', 'from' => $row['ref']]">
                                    <select name="to" required aria-label="Other end of {{ $row['socket'] }}">
                                        <option value="">free: plug to …</option>
                                        @foreach ($row['takes'] as $ref => $name)
                                            <option value="{{ $ref }}">{{ $name }}</option> @endforeach
                                    </select>
                                    <button type="submit" class="do">Plug<span class="visually-hidden"> {{ $row['socket'] }}</span></button>
                                </x-edit>
                                <a href="{{ $page->connectUrl($row['ref']) }}">on the map<span class="visually-hidden">:
                                    connect {{ $row['socket'] }}</span></a>
                            @endif
                        @endforelse</td>
                    </tr>
                @endforeach
            </tbody></table>
            @if ($page->canEdit && array_filter(array_column($sheet->sockets($unit), 'turns')) !== [])
                <details class="stock-more" data-keep><summary>Another lead in turn</summary>
                    <p class="quiet">It is in {{ $page->situation->name }} only, and takes the other out there.</p>
                    @foreach ($sheet->sockets($unit) as $row)
                        @if ($row['turns'] !== [])
                            <x-edit :page="$page" class="set plug"
                                :fields="['edit' => 'plug-in-turn', 'from' => $row['ref'],
                                'which' => $page->situation->id, 'situation' => '']">
                                <label>{{ $row['socket'] }} <select name="to" required
                                    aria-label="Other end of another lead for {{ $row['socket'] }}"><option
                                    value="">from …</option>@foreach ($row['turns'] as $ref => $name)
                                    <option value="{{ $ref }}">{{ $name }}</option> @endforeach</select></label>
                                <button type="submit" class="do">Plug<span class="visually-hidden">
                                    {{ $row['socket'] }} in turn</span></button>
                            </x-edit>
                        @endif
                    @endforeach
                </details>
            @endif
        @endif
        <x-named-settings :page="$page" :unit="$unit" />
        @if ($sheet->controls($unit) !== [])
            <h3>Settings</h3>
            <table class="facts"><tbody>
                @foreach ($sheet->controls($unit) as $row) <tr>
                    <th scope="row">{{ $row['point']->label }}</th>
                    <td>@if ($row['pick'] !== null) <x-pick :page="$page" :program="$unit" :pick="$row['pick']" /> @endif
                        @if ($row['says'] !== '') <small>{{ $row['says'] }}</small> @endif
                        @if ($row['control'] !== null) <x-dial :page="$page" :control="$row['control']" /> @endif</td>
                </tr> @endforeach
            </tbody></table>
        @endif
        @if ($sheet->mixes($unit) !== [])
            <h3>What each mix gets</h3>
            <table class="facts"><tbody>
                @foreach ($sheet->mixes($unit) as $row) <tr><th scope="row">{{ $row['bus'] }}</th><td class="feeds">
                    @foreach ($row['feeds'] as $feed)
                        @if ($feed['canSwitch'])
                            <x-edit :page="$page" :fields="['edit' => 'route', 'unit' => $unit->id, 'route' => $feed['key'],
                                'on' => $feed['on'] ? '0' : '1']"><button type="submit" class="feed"
                                aria-pressed="{{ $feed['on'] ? 'true' : 'false' }}">{{ $feed['from'] }} {{ $feed['says'] }}<span
                                class="visually-hidden"> to {{ $row['bus'] }}</span></button></x-edit>
                        @else
                            <span class="feed">{{ $feed['from'] }} {{ $feed['says'] }}</span>
                        @endif
                    @endforeach
                </td></tr> @endforeach
            </tbody></table>
        @endif
        @if ($model->family->isHost())
            <h3>Devices as the system lists them</h3>
            <table class="facts"><tbody>
                @foreach ($sheet->devices($unit) as $device)
                    <tr>
                        <th scope="row">{{ $device->name() }}@if ($device->name() !== $device->systemName)<small>{{ $device->systemName
                            }}</small>@endif</th>
                        <td>{{ $device->direction->value }}@if ($device->channels !== 2), {{ $device->channels }} ch @endif
                            @foreach ($device->roles as $role)
                                <span class="tag">default{{ $role->value === 'call' ? ' for calls' : '' }}</span> @endforeach
                            @if ($device->trouble() !== '') <span class="quiet">{{ $device->trouble() }}</span> @endif</td>
                    </tr>
                @endforeach
            </tbody></table>
            <h3>Programs</h3>
            <ul class="plain-list">@foreach ($sheet->programs($unit) as $program)
                <li><a href="{{ $page->url(['select' => "unit:{$program->id}", 'depth' => $page->depth->showsInsides() ? $page->depth->value
                : 'inside']) }}">{{ $program->name }}</a></li> @endforeach</ul>
        @endif
    @elseif ($cable !== null)
        <h2><span class="tag">{{ $cable->label }}</span></h2>
        <p class="sheet-sub">{{ $sheet->lead($cable) }}{{ $cable->lengthM === null ? ''
            : ", {$page->lengths->words($cable->lengthM)}" }}{{ $cable->colour === '' ? '' : ", {$cable->colour}" }}{{ $cable->owned ? ''
            : ', to buy' }}</p>
        @if ($page->view === 'wiring') <p class="sheet-sub"><a href="{{ $page->url(['layer' => 'dark']) }}">what goes dark without
            it</a></p> @endif
        <table class="facts"><tbody>
            @foreach (['from' => $cable->from, 'to' => $cable->to] as $end => $at)
                <tr><th scope="row">{{ ucfirst($end) }}</th><td><a
                    href="{{ $page->url(['select' => "unit:{$at->unit}"]) }}">{{ $sheet->socketName($at->unit,
                    $at->socket) }}</a><small>{{ $page->rig->socket($at)->connector->words() }}</small>
                    @php $elsewhere = $sheet->elsewhere($end === 'from' ? $cable->to : $cable->from); @endphp
                    @if ($elsewhere !== [])
                        <x-edit :page="$page" class="set plug" :fields="['edit' => 'replug', 'cable' => $cable->id, 'end' => $end]">
                            <select name="to" required
                                aria-label="Where the {{ $end }} end goes instead"><option
                                value="">move to …</option>@foreach ($elsewhere as $ref => $name)
                                <option value="{{ $ref }}">{{ $name }}</option> @endforeach</select>
                            <button type="submit" class="do">Move<span class="visually-hidden"> the {{ $end }} end</span></button>
                        </x-edit>
                    @endif
                </td></tr>
            @endforeach
        </tbody></table>
        <x-edit :page="$page" class="cable-sheet" data-save :fields="['edit' => 'cable', 'cable' => $cable->id]">
            <label>Label <input name="label" maxlength="{{ Bounds::LABEL }}" required value="{{ $cable->label }}"></label>
            <label>Type <select name="type">@foreach (CableType::cases() as $type)
                <option value="{{ $type->value }}" @selected($type === $cable->type)>{{ $type->words() }}</option>
                @endforeach</select></label>
            <label>Length, {{ $page->lengths->unit() }} <input name="length" value="{{ $page->lengths->field($cable->lengthM) }}"></label>
            <label>Colour <input name="colour" maxlength="{{ Bounds::COLOUR }}" value="{{ $cable->colour }}"></label>
            <label>Price <input name="price" maxlength="{{ Bounds::PRICE }}" value="{{ $cable->price }}"></label>
            <label>Supplier <input name="supplier" maxlength="{{ Bounds::SUPPLIER }}" value="{{ $cable->supplier }}"></label>
            <label>It is <select name="owned"><option value="1">owned</option><option value="0"
                @selected(! $cable->owned)>to buy</option></select></label>
            <button type="submit" class="do">Save<span class="visually-hidden"> {{ $cable->label }}</span></button>
        </x-edit>
        <x-edit :page="$page" class="row-form" :fields="['edit' => 'measure', 'about' => 'cables/'.$cable->id, 'kind' => 'delay',
            'situation' => '']"><label>Measured delay <input type="number" step="any" min="0" max="5000" name="value"
            value="{{ $page->rig->papers->measured(\HiddenWire\Core\Rig\MeasureKind::Delay)['cables/'.$cable->id] ?? '' }}"
            placeholder="usual"> ms</label> <button type="submit" class="do">Save<span class="visually-hidden">
            the delay of {{ $cable->label }}</span></button></x-edit>
        <div class="sheet-tools">
            <x-edit :page="$page" class="set" :fields="['edit' => 'unplug', 'cable' => $cable->id]"><button type="submit"
                class="do">Unplug {{ $cable->label }}</button></x-edit>
            <x-edit :page="$page" class="set" :fields="['edit' => 'replace', 'cable' => $cable->id]"><button type="submit" class="do"
                title="Another cable between the same sockets, with a label of its own">Replace it</button></x-edit>
        </div>
        <x-reasons :page="$page" :about="$sheet->reasonable()" />
        <x-facts :page="$page" :about="$sheet->reasonable()" />
        @php $offers = $sheet->between($cable->from, $cable->to); @endphp
        @if ($offers !== [])
            <h3>Insert into this cable</h3>
            <x-edit :page="$page" class="row-form"
                :fields="['edit' => 'between', 'from' => (string) $cable->from, 'to' => (string) $cable->to]">
                <select name="model" aria-label="What to insert into {{ $cable->label }}">@foreach ($offers as $offer)
                    <option value="{{ $offer->model->id }}">{{ $offer->model->name }}</option> @endforeach</select>
                <button type="submit" class="do">Insert</button>
            </x-edit>
        @endif
    @else
        @php
            $joins = $page->joins;
            $here = $page->selectedSocket;
            $with = $page->withSocket;
        @endphp
        <h2>{{ $joins->name($here) }}</h2>
        <p class="sheet-sub">{{ $page->rig->socket($here)->connector->words() }}@foreach ($sheet->cablesAt($here) as $there) ·
            <a href="{{ $page->url(['select' => "cable:{$there->id}"]) }}"><span class="tag">{{ $there->label }}</span>
            is in it</a>@endforeach</p>
        @if ($with !== null)
            @php $offers = $sheet->between($here, $with); @endphp
            <div class="swap" role="status">
                <p><strong>{{ $joins->name($with) }}</strong>: {{ $joins->says((string) $with) }}.</p>
                @if ($joins->stands((string) $with) === 'fits' && $sheet->cablesAt($here) === [])
                    <x-edit :page="$page" :data-then="$page->url(['select' => null, 'with' => null])"
                        :fields="['edit' => 'plug', 'from' => (string) $here, 'to' => (string) $with]"><button type="submit"
                        class="do">Plug</button></x-edit>
                @endif
                @forelse ($offers as $offer)
                    <x-edit :page="$page" :fields="['edit' => 'between', 'from' => (string) $here, 'to' => (string) $with,
                        'model' => $offer->model->id]"><button type="submit" class="do">Put {{ $offer->model->name }} between</button>
                        <small class="quiet">{{ $offer->model->summary }}</small></x-edit>
                @empty <p class="quiet">Nothing in the catalogue stands between the two.</p> @endforelse
            </div>
        @endif
        <h3>Fits the other end</h3>
        <ul class="plain-list joins">
            @forelse ($sheet->cablesAt($here) === [] ? $joins->fits : [] as $ref => $name)
                <li><x-edit :page="$page" :data-then="$page->url(['select' => null, 'with' => null])"
                    :fields="['edit' => 'plug', 'from' => (string) $here, 'to' => $ref]"><button type="submit"
                    class="do">{{ $name }}</button></x-edit></li>
            @empty <li class="quiet">{{ $sheet->cablesAt($here) === [] ? 'No free socket does.'
                : 'It is taken: unplug it first, or split it.' }}</li> @endforelse
        </ul>
        @if ($joins->taken !== [])
            <h3>Fits, but is taken</h3>
            <ul class="plain-list joins">@foreach ($joins->taken as $ref => $says)
                <li><a href="{{ $page->url(['with' => $ref]) }}">{{ $says }}</a></li> @endforeach</ul>
        @endif
        <details class="stock-more" data-keep><summary>Other sockets, and why not</summary>
            <ul class="plain-list joins">@foreach ($joins->obstacles as $ref => $why) @if (! str_starts_with($ref, "{$here->unit}/"))
                <li><a href="{{ $page->url(['with' => $ref]) }}">{{ $sheet->socketName(...explode('/', $ref)) }}</a>
                <small class="quiet">{{ $why }}</small></li> @endif @endforeach</ul>
        </details>
    @endif
    @if ($page->selectedSocket === null)
    <h3>Signals here now</h3>
    @if ($carries === [])
        <p class="quiet">No sound that anybody hears.</p>
    @else
        <table class="facts"><tbody>
            @foreach ($carries as $source => $listeners)
                <tr><th scope="row"><a href="{{ $page->penUrl($source) }}" @if ($page->penOf($source) !== null)
                    class="pen-name pen-{{ $page->penOf($source)->value }}"
                    @endif>{{ $page->rig->sources[$source]->name }}</a></th><td>to {{ implode(', ', $listeners) }}</td></tr>
            @endforeach
        </tbody></table>
    @endif
    @endif
</aside>

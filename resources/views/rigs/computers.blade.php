@php
    use HiddenWire\Core\Rig\DriverMode;
    use HiddenWire\Core\Rig\Processing;
    use HiddenWire\Core\Rig\Role;
    use HiddenWire\Core\Rig\Unlisted;
@endphp
<x-rig-frame :page="$page">
    <div class="page computers">
        @if (count($list->hosts) > 1)
            <nav class="units-nav" aria-label="Computers">
                @foreach ($list->hosts as $one) <a href="{{ $page->url(['select' => "unit:{$one->id}"]) }}"
                    @if ($one->id === $list->computers[0]->unit->id) aria-current="true" @endif>{{ $one->name }}</a> @endforeach
            </nav>
        @endif
        @forelse ($list->computers as $computer)
            @php $unit = $computer->unit; @endphp
            <section class="computer" id="computer-{{ $unit->id }}" aria-labelledby="computer-{{ $unit->id }}-title">
                <h2 id="computer-{{ $unit->id }}-title">{{ $unit->name }} <small>{{ $page->rig->places[$unit->place]->name }}</small></h2>
                <p class="computer-system">@if ($unit->system !== null) {{ $unit->system->told() }} @else
                    <span class="quiet">no operating system named</span> @endif
                    <a href="{{ $page->url(['select' => "unit:{$unit->id}"], 'stock') }}">change<span class="visually-hidden">
                    the operating system of {{ $unit->name }}</span></a> ·
                    <a href="{{ route('rigs.observed', [$page->record, $unit->id]) }}">compare with its real list<span
                    class="visually-hidden"> of {{ $unit->name }}</span></a></p>
                @if ($unit->system?->kind !== null) <details class="stray" data-keep><summary>What that comes to</summary>
                    <ul class="plain-list">@foreach ($unit->system->kind->facts() as $fact) <li>{{ $fact }}</li> @endforeach</ul></details>
                    @endif
                @foreach ($computer->troubles as $name => $why) <p class="form-trouble"><strong>{{ $name }}</strong>
                    {{ $why }}.</p> @endforeach
                <details class="stray" data-keep><summary>Sounds of unlisted programs are heard by {{
                    $computer->stray[$page->situation->name] }}</summary>
                    <table class="facts"><tbody>@foreach ($computer->stray as $situation => $reaches)
                        <tr><th scope="row">{{ $situation }}</th><td>{{ $reaches }}</td></tr> @endforeach</tbody></table>
                </details>
                <div class="computer-parts" x-data="pickLines" x-on:mouseover="light" x-on:mouseleave="light" x-on:focusin="light"
                    x-on:toggle.capture="draw" x-on:redrawn.document="draw">
                    <svg class="pick-lines" x-ref="lines" data-own aria-hidden="true"></svg>
                    <div class="devices">
                        <div class="device device-head"
                            aria-hidden="true"><span>Device (system name)</span><span>direction</span><span>default for</span><span>used
                            by</span></div>
                        @forelse ($computer->devices as $row)
                            @php $device = $row['device']; $set = $device->settings; @endphp
                            <details class="device-row" id="{{ $computer->anchor($device) }}" data-device="{{ $device->ref }}"
                                data-keep>
                                <summary class="device @if (! $device->isUsable()) unusable @endif">
                                    <span class="device-name"><strong>{{ $device->name() }}</strong>@if ($device->name()
                                        !== $device->systemName) <small>{{ $device->systemName }}</small>@endif
                                        <small>@if ($row['colour'] !== '')<span class="jack jack-{{ $row['colour'] }}"
                                            aria-hidden="true"></span>{{ $row['colour'] }} socket, @endif{{ $row['socket']
                                            }}@if ($set?->rateHz !== null) · {{ $set->rateHz / 1000 }} kHz @endif
                                            @if ($set?->bits !== null) · {{ $set->bits }} bit @endif
                                            @if ($set?->driverMode !== null) · {{ $set->driverMode->value }} @endif
                                            @if ($device->db !== null) · {{ $device->db->text() }} dB in the system @endif
                                            @if ($device->isMuted) · <span class="says-muted">muted in the system</span> @endif
                                            @if ($device->processing() !== []) · {{ implode(', ', array_map(fn ($one) => $one->words(),
                                            $device->processing())) }} @endif @if ($row['playsTo'] !== '') · played to {{ $row['playsTo']
                                            }} @endif</small></span>
                                    <span>{{ $device->direction->value }}@if ($device->channels !== 2), {{ $device->channels }} ch @endif
                                        @if ($device->trouble() !== '') <small class="says-muted">{{ $device->trouble() }}</small>
                                        @endif</span>
                                    <span>@foreach ($device->roles as $role)
                                        <span class="tag">{{ $role === Role::Call ? 'calls' : $role->value }}</span> @endforeach</span>
                                    <span class="device-users">{{ implode(', ', $row['users']) ?: '—' }}</span>
                                </summary>
                                @if ($row['channels'] !== [])
                                    <table class="facts channel-table"><caption
                                        class="visually-hidden">Channels of {{ $device->name() }}</caption>
                                        <thead><tr><th scope="col">Channel</th><th
                                            scope="col">Printed at {{ $page->rig->units[$device->ref->unit]->name }}</th><th
                                            scope="col">In programs</th></tr></thead>
                                        <tbody>@foreach ($row['channels'] as $channel)
                                            <tr><th scope="row" class="figures">{{ $channel['number'] }}</th><td>{{ $channel['print']
                                            ?: 'nothing' }}</td><td>{{ implode('; ', $channel['used']) ?: '—' }}</td></tr>
                                            @endforeach</tbody>
                                    </table>
                                @endif
                                <x-edit :page="$page" class="device-form" data-save
                                    :fields="['edit' => 'device', 'computer' => $unit->id, 'device' => (string) $device->ref,
                                    'situation' => '']">
                                    <label>Name given to {{ $device->systemName }}, {{ $device->direction->value }}
                                        <input name="name" maxlength="{{ Bounds::NAME }}" value="{{ $set->name ?? '' }}"></label>
                                    <label class="tick"><input type="checkbox" name="enabled" value="1" @checked($device->isEnabled())>
                                        enabled</label>
                                    <label>In the list
                                        <select name="unlisted"><option value="">listed</option>@foreach (Unlisted::cases() as $case)
                                        <option value="{{ $case->value }}" @selected($set?->unlisted === $case)>{{ $case->words()
                                        }}</option> @endforeach</select></label>
                                    @foreach ($computer->takesLast ? [] : [Role::from($device->direction->value), Role::Call] as $role)
                                        <label class="tick"><input type="checkbox" name="roles[]" value="{{ $role->value }}"
                                        @checked(in_array($role, $set?->roles ?? [], true))>
                                        default for {{ $role === Role::Call ? 'calls' : $role->value }}</label> @endforeach
                                    <label>Rate, Hz <input type="number" name="rate_hz" min="{{ Bounds::RATE_HZ[0] }}"
                                        max="{{ Bounds::RATE_HZ[1] }}" step="1" value="{{ $set?->rateHz }}"></label>
                                    <label>Bits <input type="number" name="bits" min="{{ Bounds::BITS[0] }}" max="{{ Bounds::BITS[1] }}"
                                        value="{{ $set?->bits }}"></label>
                                    <label>Driver mode
                                        <select name="driver_mode"><option value="">not said</option>@foreach (DriverMode::cases() as $mode)
                                        <option value="{{ $mode->value }}" @selected($set?->driverMode === $mode)>{{ $mode->value
                                        }}</option> @endforeach</select></label>
                                    <label>Level in the system, dB <input type="number" name="db" min="{{ Bounds::SYSTEM_DB[0] }}"
                                        max="{{ Bounds::SYSTEM_DB[1] }}" step="0.5" value="{{ $set?->db?->number() }}"></label>
                                    <label class="tick"><input type="checkbox" name="mute" value="1" @checked($set?->mute)>
                                        muted in the system</label>
                                    <fieldset class="ticks"><legend>The system's processing</legend><input type="hidden"
                                        name="with_processing" value="1">@foreach (Processing::cases() as $case)
                                        <label class="tick"><input type="checkbox" name="processing[]" value="{{ $case->value }}"
                                        @checked(in_array($case, $device->processing(), true))>
                                        {{ $case->words() }}</label> @endforeach</fieldset>
                                    @if ($row['targets'] !== []) <label>The system plays it to
                                        <select name="plays_to"><option value="">nothing</option>@foreach ($row['targets'] as $ref => $name)
                                        <option value="{{ $ref }}" @selected((string) $set?->playsTo === (string) $ref)>{{ $name }}</option>
                                        @endforeach</select></label> @endif
                                    <button class="do" type="submit">Save<span class="visually-hidden">
                                        {{ $device->name() }}</span></button>
                                </x-edit>
                                @if (! $page->rig->isBase($page->situation->id))
                                    <x-edit :page="$page" class="device-form" data-save
                                        :fields="['edit' => 'system-level', 'computer' => $unit->id, 'device' => (string) $device->ref]">
                                        <label>Level in {{ $page->situation->name }}, dB
                                            <input type="number" name="db" min="{{ Bounds::SYSTEM_DB[0] }}" max="{{ Bounds::SYSTEM_DB[1] }}"
                                            step="0.5" value="{{ $row['here']?->db?->number() }}" placeholder="as in the default"></label>
                                        <label>Mute in {{ $page->situation->name }}
                                            <select name="mute"><option value="">as in the default</option><option value="1"
                                            @selected($row['here']?->mute === true)>muted</option><option value="0"
                                            @selected($row['here']?->mute === false)>not muted</option></select></label>
                                        <button class="do" type="submit">Save<span class="visually-hidden">
                                            the level of {{ $device->name() }} in {{ $page->situation->name }}</span></button>
                                    </x-edit>
                                @endif
                            </details>
                        @empty
                            <p class="quiet">Nothing that is plugged in gives it a device yet.</p>
                        @endforelse
                        @if ($computer->takesLast)
                            <div class="moved-defaults">
                                <h3>What was plugged in last has the sound</h3>
                                <table class="facts"><tbody>
                                    @forelse ($computer->plugs as $cable => $plug)
                                        <tr><th scope="row">{{ $plug['label'] }}<small>{{ implode(', ',
                                            $plug['devices']) }}</small></th><td>@if ($plug['hasSound'])
                                            <span class="tag">has the sound</span> @else <x-edit :page="$page"
                                            :fields="['edit' => 'plug-last', 'cable' => $cable]"><button class="do"
                                            type="submit">Plug in last<span class="visually-hidden">:
                                            {{ $plug['label'] }}</span></button></x-edit> @endif</td></tr>
                                    @empty <tr><td class="quiet">Nothing is plugged in:
                                        its own loudspeaker and microphone have the sound.</td></tr>
                                    @endforelse
                                </tbody></table>
                            </div>
                        @endif
                        @if ($computer->defaults !== [])
                            <div class="moved-defaults">
                                <h3>Defaults in {{ $page->situation->name }}</h3>
                                <table class="facts"><tbody>
                                    @foreach ($computer->defaults as $default)
                                        <tr><th scope="row">{{ ucfirst($default['direction']) }}<small>{{ $default['role'] === 'call'
                                            ? 'in calls' : 'except calls' }}</small></th><td>
                                            <x-edit :page="$page" class="row-form"
                                                :fields="['edit' => 'default', 'computer' => $unit->id,
                                                'direction' => $default['direction'], 'role' => $default['role']]">
                                                <select name="device" data-auto
                                                    aria-label="{{ $default['label'] }}"><option value="">as in the
                                                    default</option>@foreach ($default['choices'] as $ref => $name)
                                                    <option value="{{ $ref }}" @selected($default['now'] === (string) $ref)>{{ $name
                                                    }}</option> @endforeach</select>
                                                <button type="submit" class="do without-scripts">Set</button>
                                            </x-edit></td></tr>
                                    @endforeach
                                </tbody></table>
                            </div>
                        @endif
                    </div>
                    <div class="programs">
                        <h3>Programs, in the order of their start</h3>
                        <ol class="start-order" data-order="{{ $unit->place }}" x-data="order" x-on:dragstart="take" x-on:dragover="over"
                            x-on:dragend="drop" x-on:click="click" x-on:keydown="key">
                            @foreach ($computer->programs as $entry)
                                @php $program = $entry['unit']; @endphp
                                <li data-program="{{ $program->id }}" data-key="program-{{ $program->id }}"
                                    draggable="{{ $page->canEdit ? 'true' : 'false' }}">
                                    <div class="program-head">
                                        <span class="figures" title="Start order">{{ $program->start ?? '–' }}</span>
                                        <strong>{{ $program->name }}</strong>@if ($program->atLogin)
                                            <span class="tag">at login</span> @endif
                                        @if ($page->canEdit) <span class="program-move"><button type="button" class="plain" data-move="-1"
                                            aria-label="{{ $program->name }} earlier" title="Earlier (Alt ↑)"><i class="bi bi-chevron-up"
                                            aria-hidden="true"></i></button><button type="button" class="plain" data-move="1"
                                            aria-label="{{ $program->name }} later" title="Later (Alt ↓)"><i class="bi bi-chevron-down"
                                            aria-hidden="true"></i></button></span> @endif
                                    </div>
                                    @if ($entry['spoils'] !== [])
                                        <p class="form-trouble">Installing it spoils the names of {{ implode(', ',
                                        $entry['spoils']) }}: name them again afterwards.</p> @endif
                                    @if ($program->needs !== [])
                                        <p class="quiet">needs {{ implode(', ', array_map(fn ($id) => $page->rig->units[$id]->name,
                                        $program->needs)) }}</p> @endif
                                    <table class="facts"><tbody>
                                        @foreach ($entry['picks'] as $pick)
                                            <tr data-picks="{{ implode(' ', $computer->usedAt($program, $pick['point'])) }}"
                                                data-pens="{{ implode(' ', $computer->pensAt($program, $pick['point'])) }}"><th
                                                scope="row">{{ $pick['point']->label }}<small>{{
                                            $pick['point']->picks?->value === 'recording' ? 'takes'
                                            : 'plays to' }}</small></th><td><x-pick :page="$page" :program="$program" :pick="$pick"
                                            /><x-pick-more :page="$page" :program="$program" :pick="$pick" /></td></tr> @endforeach
                                    </tbody></table>
                                    @if ($page->canEdit)
                                        <details class="stock-more"
                                            data-keep><summary>Requires<span class="visually-hidden">:
                                            {{ $program->name }}</span></summary>
                                            <x-edit :page="$page" class="needs-form" data-save
                                                :fields="['edit' => 'describe-unit', 'unit' => $program->id, 'name' => $program->name,
                                                'firmware' => $program->firmware, 'serial' => $program->serial, 'notes' => $program->notes,
                                                'with_running' => '1']">
                                                <label class="tick"><input type="checkbox" name="at_login" value="1"
                                                    @checked($program->atLogin)> starts at login</label>
                                                <label>Works only with <select name="needs[]" multiple size="4"
                                                    aria-label="What {{ $program->name }} needs">@foreach ($page->rig->units as $other)
                                                    @if ($other->id !== $program->id) <option value="{{ $other->id }}"
                                                    @selected(in_array($other->id, $program->needs, true))>{{ $other->name }}</option>
                                                    @endif @endforeach</select></label>
                                                <button class="do" type="submit">Save</button>
                                            </x-edit>
                                        </details>
                                    @endif
                                </li>
                            @endforeach
                        </ol>
                        <x-edit :page="$page" class="order-form visually-hidden"
                            :fields="['edit' => 'start-order', 'place' => $unit->place, 'situation' => '']"
                            data-order-form="{{ $unit->place }}"><input type="hidden" name="programs" value=""></x-edit>
                        <x-edit :page="$page" class="row-form" :fields="['edit' => 'add-unit', 'place' => $unit->place, 'situation' => '']">
                            <select name="model" aria-label="Program for {{ $unit->name }}">@foreach ($list->programs as $model)
                                <option value="{{ $model->id }}">{{ $model->name }}</option> @endforeach</select>
                            <input name="name" maxlength="{{ Bounds::NAME }}" placeholder="its name"
                                aria-label="Name of the program for {{ $unit->name }}">
                            <button class="do" type="submit">Add the program</button>
                        </x-edit>
                    </div>
                </div>
            </section>
        @empty
            <p class="quiet">There is no computer yet: add one in
                <a href="{{ $page->url([], 'stock') }}">Stock</a>. What is plugged into it gives its list of devices.</p>
        @endforelse
    </div>
</x-rig-frame>

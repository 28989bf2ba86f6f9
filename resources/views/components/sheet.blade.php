@props(['page'])
@php
    use App\ViewModels\Sheet;
    $sheet = new Sheet($page->hearing);
    $unit = $page->selectedUnit === null ? null : $page->rig->units[$page->selectedUnit];
    $cable = $page->selectedCable === null ? null : $page->rig->cables[$page->selectedCable];
    $carries = $unit !== null ? $sheet->carries($unit->id, false) : $sheet->carries($cable->id, true);
@endphp
<aside class="sheet" aria-label="Sheet">
    <a class="sheet-close" data-key-close href="{{ $page->url(['select' => null]) }}" aria-label="Close the sheet"><i class="bi bi-x-lg" aria-hidden="true"></i></a>
    @if ($unit !== null)
        @php $model = $page->rig->modelOf($unit); @endphp
        <h2>{{ $unit->name }}</h2>
        <p class="sheet-sub">{{ $model->name }} · {{ $page->rig->places[$unit->place]->name }}@if ($unit->firmware !== '') · firmware {{ $unit->firmware }}@endif</p>
        @if ($unit->notes !== '') <p>{{ $unit->notes }}</p> @endif
        @if ($unit->start !== null) <p class="sheet-sub">Starts as number {{ $unit->start }}{{ $unit->atLogin ? ', at login' : '' }}.</p> @endif
        @if ($model->sockets !== [])
            <h3>Sockets</h3>
            <table class="facts">
                @foreach ($sheet->sockets($unit) as $row)
                    <tr>
                        <th scope="row">{{ $row['socket'] }}<small>{{ $row['words'] }}</small></th>
                        <td>@forelse ($row['cables'] as $end) <a href="{{ $page->url(['select' => "cable:{$end['id']}"]) }}"><span class="tag">{{ $end['label'] }}</span> {{ $end['to'] }}</a> @empty
                            @if ($row['takes'] === [])
                                <span class="quiet">free; no free socket here takes its other end</span>
                            @else
                                <x-edit :page="$page" class="set plug" :fields="['edit' => 'plug', 'from' => $row['ref']]">
                                    <select name="to" required aria-label="Other end of {{ $row['socket'] }}">
                                        <option value="">free: plug to …</option>
                                        @foreach ($row['takes'] as $ref => $name) <option value="{{ $ref }}">{{ $name }}</option> @endforeach
                                    </select>
                                    <button type="submit" class="do">Plug<span class="visually-hidden"> {{ $row['socket'] }}</span></button>
                                </x-edit>
                            @endif
                        @endforelse</td>
                    </tr>
                @endforeach
            </table>
        @endif
        @if ($sheet->controls($unit) !== [])
            <h3>Settings</h3>
            <table class="facts">
                @foreach ($sheet->controls($unit) as $row) <tr>
                    <th scope="row">{{ $row['point'] }}</th>
                    <td>{{ $row['says'] }}
                        @if ($row['choice'] !== null)
                            <x-edit :page="$page" class="set plug" :fields="['edit' => 'pick', 'unit' => $unit->id, 'point' => $row['id']]">
                                <select name="device" aria-label="Device for {{ $row['point'] }}">@foreach ($row['choice']['devices'] as $ref => $name) <option value="{{ $ref }}" @selected($ref === $row['choice']['now'])>{{ $name }}</option> @endforeach</select>
                                <button type="submit" class="do">Use<span class="visually-hidden"> for {{ $row['point'] }}</span></button>
                            </x-edit>
                        @endif
                        @if ($row['mute'] !== null || $row['fader'] !== null)
                            <x-edit :page="$page" class="set" :fields="['edit' => 'point', 'unit' => $unit->id, 'point' => $row['id']]">
                                @if ($row['fader'] !== null)
                                    <input type="number" name="fader" step="0.5" min="{{ $row['fader']['from'] }}" max="{{ $row['fader']['to'] }}" value="{{ $row['fader']['db'] }}" aria-label="Fader of {{ $row['point'] }}, dB">
                                    <button type="submit" class="do">Set<span class="visually-hidden"> the fader of {{ $row['point'] }}</span></button>
                                @endif
                            </x-edit>
                            @if ($row['mute'] !== null)
                                <x-edit :page="$page" class="set" :fields="['edit' => 'point', 'unit' => $unit->id, 'point' => $row['id'], 'mute' => $row['mute'] ? '0' : '1']"><button type="submit" class="do">{{ $row['mute'] ? 'Open' : 'Mute' }}<span class="visually-hidden"> {{ $row['point'] }}</span></button></x-edit>
                            @endif
                        @endif
                    </td>
                </tr> @endforeach
            </table>
        @endif
        @if ($sheet->mixes($unit) !== [])
            <h3>What each mix gets</h3>
            <table class="facts">
                @foreach ($sheet->mixes($unit) as $row) <tr><th scope="row">{{ $row['bus'] }}</th><td class="feeds">
                    @foreach ($row['feeds'] as $feed)
                        @if ($feed['canSwitch'])
                            <x-edit :page="$page" :fields="['edit' => 'route', 'unit' => $unit->id, 'route' => $feed['key'], 'on' => $feed['on'] ? '0' : '1']"><button type="submit" class="feed" aria-pressed="{{ $feed['on'] ? 'true' : 'false' }}">{{ $feed['from'] }} {{ $feed['says'] }}<span class="visually-hidden"> to {{ $row['bus'] }}</span></button></x-edit>
                        @else
                            <span class="feed">{{ $feed['from'] }} {{ $feed['says'] }}</span>
                        @endif
                    @endforeach
                </td></tr> @endforeach
            </table>
        @endif
        @if ($model->family->isHost())
            <h3>Devices as the system lists them</h3>
            <table class="facts">
                @foreach ($sheet->devices($unit) as $device)
                    <tr>
                        <th scope="row">{{ $device->name() }}@if ($device->name() !== $device->systemName)<small>{{ $device->systemName }}</small>@endif</th>
                        <td>{{ $device->direction->value }}@if ($device->channels !== 2), {{ $device->channels }} ch @endif
                            @foreach ($device->settings?->roles ?? [] as $role) <span class="tag">default{{ $role->value === 'call' ? ' for calls' : '' }}</span> @endforeach
                            @if (! $device->isConnected) <span class="quiet">not connected</span> @elseif (! $device->isEnabled()) <span class="quiet">disabled</span> @endif</td>
                    </tr>
                @endforeach
            </table>
            <h3>Programs</h3>
            <ul class="plain-list">@foreach ($sheet->programs($unit) as $program) <li><a href="{{ $page->url(['select' => "unit:{$program->id}", 'depth' => $page->depth->showsInsides() ? $page->depth->value : 'inside']) }}">{{ $program->name }}</a></li> @endforeach</ul>
        @endif
    @else
        <h2><span class="tag">{{ $cable->label }}</span></h2>
        <p class="sheet-sub">{{ $cable->type->value }} cable{{ $cable->lengthM === null ? '' : ", {$cable->lengthM} m" }}{{ $cable->colour === '' ? '' : ", {$cable->colour}" }}{{ $cable->owned ? '' : ', to buy' }}</p>
        <table class="facts">
            <tr><th scope="row">From</th><td><a href="{{ $page->url(['select' => "unit:{$cable->from->unit}"]) }}">{{ $sheet->socketName($cable->from->unit, $cable->from->socket) }}</a><small>{{ $page->rig->socket($cable->from)->connector->words() }}</small></td></tr>
            <tr><th scope="row">To</th><td><a href="{{ $page->url(['select' => "unit:{$cable->to->unit}"]) }}">{{ $sheet->socketName($cable->to->unit, $cable->to->socket) }}</a><small>{{ $page->rig->socket($cable->to)->connector->words() }}</small></td></tr>
        </table>
        <x-edit :page="$page" class="set" :fields="['edit' => 'unplug', 'cable' => $cable->id]"><button type="submit" class="do">Unplug {{ $cable->label }}</button></x-edit>
    @endif
    <h3>Passes here now</h3>
    @if ($carries === [])
        <p class="quiet">No sound that anybody hears.</p>
    @else
        <table class="facts">
            @foreach ($carries as $source => $listeners)
                <tr><th scope="row"><a href="{{ $page->penUrl($source) }}" @if ($page->penOf($source) !== null) class="pen-name pen-{{ $page->penOf($source)->value }}" @endif>{{ $page->rig->sources[$source]->name }}</a></th><td>to {{ implode(', ', $listeners) }}</td></tr>
            @endforeach
        </table>
    @endif
</aside>

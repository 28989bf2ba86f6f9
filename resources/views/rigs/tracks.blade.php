@php use HiddenWire\Core\Equipment\RouteSetting; @endphp
<x-rig-frame :page="$page">
    <div class="page tracks">
        @if ($tracks->afterwards !== null) <x-afterwards :page="$page" :afterwards="$tracks->afterwards" /> @endif
        @if ($tracks->cards !== [])
            <details class="stock-more cards-left" data-keep><summary>Cards:
                @foreach ($tracks->cards as $card) {{ $card['name'] }} {{ $card['hours']
                ?: 'not said' }}@if (! $loop->last); @endif @endforeach</summary>
                @foreach ($tracks->cards as $card)
                    <div class="row-form"><strong>{{ $card['name'] }}</strong>
                        @foreach (['card' => ['free on the card', 'GB', $card['card'], ''], 'rate' => ['sample rate', 'Hz', $card['rate'],
                            '48000'], 'depth' => ['bits', 'bits', $card['depth'], '24']] as $kind => [$says, $unit, $value, $usual])
                            <x-edit :page="$page" class="row-form"
                                :fields="['edit' => 'measure', 'about' => $card['about'],
                                'kind' => $kind, 'situation' => '']"><input type="number" step="any" name="value" value="{{ $value }}"
                                placeholder="{{ $usual }}" aria-label="{{ $card['name'] }}: {{ $says }}"> {{ $unit }}
                                <button class="do" type="submit">Save<span class="visually-hidden">
                                {{ $card['name'] }}: {{ $says }}</span></button></x-edit>
                        @endforeach
                    </div>
                @endforeach
                <x-edit :page="$page" class="row-form"
                    :fields="['edit' => 'measure', 'about' => 'situations/'.$page->rig->base()->id, 'kind' => 'length',
                    'situation' => '']"><label>{{ $page->rig->base()->name }} lasts
                    <input type="number" step="1" name="value" value="{{ $tracks->length }}" placeholder="not said"> minutes</label>
                    <button class="do" type="submit">Save<span class="visually-hidden">
                    how long {{ $page->rig->base()->name }} lasts</span></button></x-edit>
            </details>
        @endif
        @if (count($tracks->units) > count($tracks->programs))
            <nav class="units-nav" aria-label="Programs and recorders">
                @foreach ($tracks->units as $one) <a href="{{ $page->url(['select' => "unit:{$one->id}"]) }}"
                    @if ($one === $tracks->programs[0]->unit) aria-current="true" @endif>{{ $one->name }}</a> @endforeach
            </nav>
        @endif
        @forelse ($tracks->programs as $program)
            <section class="track-sheet" aria-labelledby="tracks-{{ $program->unit->id }}">
                <h2 id="tracks-{{ $program->unit->id }}">{{ $program->unit->name }}
                    <small>{{ $page->rig->places[$program->unit->place]->name }}</small></h2>
                <div class="matrix-scroll" tabindex="0" role="region" aria-label="Tracks of {{ $program->unit->name }}">
                    <table class="matrix track-table" x-data="grid" x-on:keydown="key">
                        <thead>
                            <tr>
                                <th scope="col" colspan="2">What comes in</th>
                                @foreach ($program->tracks as $track)
                                    <th scope="col" @class(['empty' => $track['sources'] === []])
                                        title="{{ $program->holds($track['sources']) }}">{{ $track['point']->label
                                        }}<small class="visually-hidden">{{ $program->holds($track['sources']) }}</small>
                                        @if (count($track['sources']) === 1) <span class="tag">alone</span> @endif</th>
                                @endforeach
                            </tr>
                        </thead>
                        <tbody x-ignore>
                            @php $lanes = $program->lanes(); @endphp
                            @foreach ($program->inputs as $i => $row)
                                <tr>
                                    <th scope="row">{{ $row['point']->label }}
                                        <small>{{ $row['device'] ?: 'no device' }}@if ($row['sources'] !== []): {{ implode(', ',
                                        array_map(fn ($source) => $source->name, $row['sources'])) }}@endif</small></th>
                                    <td class="strip-line"><x-dial :page="$page" :control="$row['control']" /></td>
                                    @foreach ($lanes[$i] as $t => $crossing)
                                        <td @class(['crossing', $crossing['across'], $crossing['down']])>@if ($crossing['route'] !== null)
                                            <x-crossing :page="$page" :unit="$program->unit->id" :key="$crossing['route']->key()"
                                            :on="$crossing['isOn']" :fixed="! $crossing['route']->allows(RouteSetting::On)"
                                            name="{{ $row['point']->label }} on {{ $program->tracks[$t]['point']->label }}" /> @endif</td>
                                    @endforeach
                                </tr>
                            @endforeach
                        </tbody>
                        @php $ends = $program->ends(); @endphp
                        @if ($ends !== [])
                        <tfoot>
                            @foreach ($ends as $end => $goals)
                                <tr><th scope="row" colspan="2">{{ $end === 'file' ? 'into a file' : "into the {$end}" }}</th>
                                    @foreach ($goals as $t => $goal)
                                        <td @class(['crossing', 'down' => $program->tracks[$t]['sources'] !== [],
                                            'down-end' => $loop->parent->last && $program->tracks[$t]['sources'] !== []])>
                                            @if ($goal !== null) <x-crossing :page="$page" :unit="$program->unit->id"
                                            :key="$goal->key" :on="$goal->now->on" :fixed="! $goal->canSwitch" end
                                            name="{{ $program->tracks[$t]['point']->label }} into the {{ $end }}" /> @endif</td>
                                    @endforeach</tr>
                            @endforeach
                        </tfoot>
                        @endif
                    </table>
                </div>
                @if ($program->scenes !== null) <x-scenes :page="$page" :table="$program->scenes" /> @endif
            </section>
        @empty
            <p class="quiet">No broadcast program and no recorder yet. Put one on a computer in
                <a href="{{ $page->url([], 'computers') }}">Computers</a>.</p>
        @endforelse
    </div>
</x-rig-frame>

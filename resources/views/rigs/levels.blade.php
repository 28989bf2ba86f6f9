@php use App\ViewModels\LevelDiagram; use App\ViewModels\LevelsPage; @endphp
<x-rig-frame :page="$page">
    <div class="page levels">
        @if ($levels->gains !== [])
            <section aria-labelledby="gains">
                <h2 id="gains">Recommended gain <small>so that the usual level is at −18 dBFS, peaks at −6 dBFS</small></h2>
                <div class="wide" tabindex="0" role="region" aria-label="Recommended gain">
                <table class="facts gains"><thead><tr><th scope="col">Voice</th><th scope="col">Microphone</th><th
                    scope="col">Preamp</th><th scope="col">Now</th><th scope="col">Dial in</th><th
                    scope="col">Signal-to-noise</th></tr></thead><tbody>
                    @foreach ($levels->gains as $row)
                        <tr><th scope="row">{{ $row['source']->name }}</th><td>{{ $row['microphone'] }}</td><td>{{ $row['name'] }}</td><td
                            class="figures">{{ $row['preamp']->now->text() }} dB</td>
                            <td class="figures">@if ($row['preamp']->shortDb() > 0)
                                <strong>{{ $row['preamp']->wanted->text() }} dB</strong>, {{ LevelsPage::db($row['preamp']->shortDb())
                                }} missing @else <strong>{{ $row['preamp']->wanted->text() }} dB</strong> @endif
                                @if ($page->canEdit && ! $row['preamp']->toSet()->equals($row['preamp']->now))
                                    <x-edit :page="$page" :fields="['edit' => 'point', 'unit' => $row['preamp']->at->unit,
                                    'point' => $row['preamp']->at->point, 'gain' => $row['preamp']->toSet()->number()]"><button class="do"
                                    type="submit">Set<span class="visually-hidden"> the gain of {{ $row['name'] }} to {{
                                    $row['preamp']->toSet()->text() }} dB</span></button></x-edit> @endif</td>
                            <td class="figures">{{ LevelsPage::db($row['over']) }} dB @if ($row['boosted'] - $row['over'] >= 1)
                                <span class="quiet">{{ LevelsPage::db($row['boosted']) }} with a booster</span> @endif</td></tr>
                    @endforeach
                </tbody></table></div>
                <details class="stock-more" data-keep><summary>What this is based on</summary>
                    <table class="facts measures"><tbody>
                        @foreach ($levels->measures as $row)
                            <tr><th scope="row">{{ $row['name'] }}</th><td>
                                <x-edit :page="$page" class="row-form"
                                    :fields="['edit' => 'measure', 'about' => $row['about'],
                                    'kind' => $row['kind']->value, 'situation' => '']"><input type="number" step="any" name="value"
                                    min="{{ $row['kind']->range()[0] }}" max="{{ $row['kind']->range()[1] }}" value="{{ $row['value'] }}"
                                    placeholder="{{ $row['usual'] ?? 'usual' }}" aria-label="{{ $row['name'] }}, {{ $row['kind']->unit()
                                    }}"> {{ $row['kind']->unit() }} <button class="do" type="submit">Save<span class="visually-hidden">
                                    {{ $row['name'] }}</span></button></x-edit>
                            </td><td class="quiet">{{ $row['value'] === null ? 'usual' : 'measured' }}</td></tr>
                        @endforeach
                    </tbody></table>
                </details>
            </section>
        @endif
        @if ($levels->listener === null)
            <h2>Levels</h2>
            <p class="quiet">Nobody hears anything in {{ $page->situation->name }} yet.</p>
        @else
            <section aria-labelledby="stages">
                <h2 id="stages">Stage by stage to {{ $levels->listener->name }}</h2>
                <nav class="filters" aria-label="Listener"><span>@foreach ($levels->listeners as $one)
                    <a href="{{ $levels->url($one->id) }}" @if ($one === $levels->listener)
                    aria-current="true" @endif>{{ $one->name }}</a> @endforeach</span></nav>
                @foreach ($levels->diagrams as $diagram)
                    @php [$bandTop, $bandHeight] = $diagram->band(); @endphp
                    <figure class="level-diagram">
                        <figcaption>{{ $diagram->pair->source->name }}
                            <small>ends at {{ LevelsPage::db($diagram->chain->end) }} dBFS, {{ number_format($diagram->chain->overNoise(),
                            0) }} dB above its noise</small></figcaption>
                        <div class="wide" tabindex="0" role="region" aria-label="Level diagram of {{ $diagram->pair->source->name }}">
                        <svg width="{{ $diagram->width() }}" height="{{ LevelDiagram::TOP + LevelDiagram::HEIGHT + 46 }}" role="img"
                            aria-label="{{ $diagram->pair->source->name }}: {{ implode('; ',
                            array_map(fn ($column) => $column['stage']->label.' '.$column['says'], $diagram->columns)) }}">
                            <rect class="target-band" x="{{ LevelDiagram::LEFT }}" y="{{ $bandTop }}"
                                width="{{ $diagram->width() - LevelDiagram::LEFT }}" height="{{ $bandHeight }}"/>
                            @foreach ($diagram->scale() as [$y, $says]) <path class="scale-rule @if ($loop->first) most @endif"
                                d="M{{ LevelDiagram::LEFT }},{{ $y }} H{{ $diagram->width() }}"/><text class="scale-says"
                                x="{{ LevelDiagram::LEFT - 6 }}" y="{{ $y + 4 }}" text-anchor="end">{{ $says }}</text> @endforeach
                            <polygon class="noise" points="{{ $diagram->noise() }}"/>
                            <polyline class="peak-line" points="{{ $diagram->line('peak') }}"/>
                            <polyline class="level-line" points="{{ $diagram->line('level') }}"/>
                            @foreach ($diagram->columns as $column)
                                <circle class="level-dot @if ($column['isOver']) over @endif" cx="{{ $column['x'] }}"
                                    cy="{{ $column['level'] }}" r="4"/>
                                <text class="level-says @if ($column['isOver']) over @endif" x="{{ $column['x'] + 7 }}"
                                    y="{{ $column['level'] + 15 }}">{{ $column['says'] }}</text>
                                @foreach ($diagram->label($column['stage']->label) as $i => $part)
                                    <text class="stage-says" x="{{ $column['x'] }}" y="{{ LevelDiagram::TOP + LevelDiagram::HEIGHT + 16 + 13
                                    * $i }}" text-anchor="middle">{{ $part }}</text> @endforeach
                            @endforeach
                        </svg></div>
                    </figure>
                @endforeach
                <ul class="legend diagram-legend"><li><span class="key-line level-key"></span>
                    usual level</li><li><span class="key-line peak-key"></span>
                    peaks, 12 dB above</li><li><span class="key-box noise-key"></span> noise</li><li><span class="key-box band-key"></span>
                    where the level is to be</li></ul>
            </section>
            <section aria-labelledby="balance">
                <h2 id="balance">Balance at {{ $levels->listener->name }}</h2>
                <table class="facts"><thead><tr><th scope="col">Sound</th><th scope="col">Level</th><th
                    scope="col">Against the voice</th></tr></thead><tbody>
                    @foreach ($levels->balance->rows as $row)
                        <tr><th scope="row">{{ $row['pair']->source->name }}</th><td
                            class="figures">{{ LevelsPage::db($row['chain']->end) }} dBFS</td><td
                            class="figures">@if ($row['under'] !== null) {{ LevelsPage::db(abs($row['under'])) }} dB {{ $row['under'] >= 0
                            ? 'under' : 'over' }} @if ($row['lowered'] > 0) <small>{{ LevelsPage::db($row['lowered']) }} dB of it while the
                            voice speaks</small> @endif @if ($levels->target !== null && $row['under'] < $levels->target)
                            <span class="tag">too loud</span> @endif @endif</td></tr>
                    @endforeach
                </tbody></table>
                <x-edit :page="$page" class="row-form"
                    :fields="['edit' => 'measure', 'about' => 'listeners/'.$levels->listener->id, 'kind' => 'voice-over',
                    'situation' => '']"><label>The voice is to be above the rest by
                    <input type="number" name="value" step="0.5" min="0" max="40" value="{{ $levels->target }}" placeholder="not said">
                    dB</label> <button class="do" type="submit">Save<span class="visually-hidden">
                    how far the voice is to be above the rest</span></button></x-edit>
            </section>
        @endif
        @if ($levels->monitors !== [] || $levels->offsets !== [])
            <section aria-labelledby="time">
                <h2 id="time">Time</h2>
                @if ($levels->monitors !== [])
                    <table class="facts"><thead><tr><th scope="col">Own voice</th><th scope="col">In the ears of</th><th
                        scope="col">Late by</th></tr></thead><tbody>
                        @foreach ($levels->monitors as $row)
                            <tr><th scope="row">{{ $row['pair']->source->name }}</th><td>{{ $row['pair']->listener->name }}</td><td
                            class="figures">{{ $row['pair']->delay()?->text() }} ms @if ($row['isLate'])
                            <span class="tag">heard as two</span> @endif</td></tr> @endforeach
                    </tbody></table>
                @endif
                @if ($levels->offsets !== [])
                    <table class="facts"><thead><tr><th scope="col">Source</th><th scope="col">Picture</th><th
                        scope="col">Picture is late by</th><th scope="col">Sound comes after</th><th
                        scope="col">Hold back by</th></tr></thead><tbody>
                        @foreach ($levels->offsets as $row)
                            <tr><th scope="row">{{ $row['name'] }}
                                <small>{{ $row['program'] }}, {{ $row['offset']->pair->source->name }}</small></th><td>{{
                                $row['offset']->picture->name }}</td><td class="figures">{{ $row['offset']->picture->delay?->text()
                                ?? '0' }} ms</td><td class="figures">{{ LevelsPage::db($row['offset']->soundMs) }} ms</td>
                                <td class="figures">@if ($row['offset']->toSet() === null) the picture has to wait {{
                                    LevelsPage::db(-$row['offset']->earlyMs()) }} ms @else
                                    <strong>{{ LevelsPage::db($row['offset']->toSet()) }} ms</strong> @if ($row['offset']->setMs > 0)
                                    <span class="quiet">now {{ LevelsPage::db($row['offset']->setMs) }}</span> @endif
                                    @if ($page->canEdit && abs($row['offset']->earlyMs()) >= 1)
                                        <x-edit :page="$page" :fields="['edit' => 'point', 'unit' => $row['offset']->at->unit,
                                        'point' => $row['offset']->at->point, 'delay_ms' => $row['offset']->toSet()]"><button class="do"
                                        type="submit">Set<span class="visually-hidden"> the delay of {{ $row['name']
                                        }}</span></button></x-edit> @endif @endif</td></tr>
                        @endforeach
                    </tbody></table>
                @endif
            </section>
        @endif
        @if ($levels->noises->all !== [])
            <section aria-labelledby="noise">
                <h2 id="noise">Noise <small>hum, hiss, and the whine of computers</small></h2>
                <table class="facts"><thead><tr><th scope="col">Kind</th><th scope="col">Where it comes in</th><th
                    scope="col">What stops it</th></tr></thead><tbody>
                    @foreach ($levels->noises->all as $noise)
                        <tr><th scope="row">{{ $noise['kind'] }}</th><td>{{ $noise['where'] }}</td><td>{{ $noise['stops'] }}</td></tr>
                        @endforeach
                </tbody></table>
            </section>
        @endif
    </div>
</x-rig-frame>

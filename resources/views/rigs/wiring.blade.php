@php
    use App\ViewModels\MapDepth;
    use App\ViewModels\Pen;
    $strip = $page->strip();
    $hasSheet = $page->hasSheet();
@endphp
<x-rig-frame :page="$page">
    <x-slot:tools>
        <div class="map-tools">
            <nav class="depths" aria-label="Depth">
                @foreach (MapDepth::cases() as $depth)
                    <a href="{{ $page->url(['depth' => $depth->value]) }}" @if ($depth === $page->depth)
                        aria-current="true" @endif>{{ $depth->label() }}</a>
                @endforeach
            </nav>
            <div class="pens" role="group" aria-label="Highlighter pens">
                @foreach ($page->pens as $pen => $source)
                    <a class="pen-name pen-{{ $pen }}" href="{{ $page->penUrl($source) }}" title="Stop highlighting">
                        <svg class="mark" viewBox="-9 -9 18 18" width="11" height="11"
                            aria-hidden="true"><path d="{{ Pen::from($pen)->mark() }}"/></svg>{{ $page->rig->sources[$source]->name }}<span
                            class="visually-hidden">, stop highlighting</span>
                    </a>
                @endforeach
                @if (count($page->pens) < count(Pen::cases()))
                    <details class="pen-more" data-menu>
                        <summary>+ pen</summary>
                        <ul>
                            @foreach ($page->rig->sources as $source)
                                @if ($page->penOf($source->id) === null)
                                    <li><a href="{{ $page->penUrl($source->id) }}">{{ $source->name }}
                                        <small>{{ $source->kind->value }}</small></a></li>
                                @endif
                            @endforeach
                        </ul>
                    </details>
                @endif
            </div>
        </div>
    </x-slot:tools>
    <div class="wiring @if ($hasSheet) with-sheet @endif">
        @if ($page->finding !== null)
            <p class="evidence-says"><strong>{{ $page->finding->sentence }}</strong>
                @if ($page->preview !== null) <span>{{ $page->preview->cure->sentence }}</span> @endif
                <a href="{{ $page->url([], 'checks') }}#finding-{{ $page->finding->evidence() }}">Back to the finding</a>
                <a href="{{ $page->url(['finding' => null]) }}">Stop showing it</a></p>
        @endif
        @if ($page->grounds !== null)
            <div class="evidence-says grounds-says"><strong>{{ $page->grounds->summary() }}</strong>
                @foreach ($page->grounds->toIsolate as $one) <span><a href="{{ $one['url'] }}">{{ $one['label'] }}</a>
                    at {{ $one['at'] }}</span> @endforeach
                <a href="{{ $page->url(['kind' => 'ground'], 'checks') }}">The findings</a></div>
        @endif
        @if ($page->outage !== null)
            <p class="evidence-says"><strong>{{ $page->outageSays($page->outage) }}</strong>
                <span>Faint: what carries nothing any more.</span>
                <a href="{{ $page->url([], 'dependence') }}">Who loses what</a>
                <a href="{{ $page->url(['layer' => null]) }}">Stop showing it</a></p>
        @endif
        <nav class="places" aria-label="Places on the map">
            <button type="button" data-zoom="fit">Whole map</button>
            @foreach ($wiring->map->plates as $place => $plates) @if ($plates !== [])
                <button type="button" data-zoom-place="{{ $place }}">{{ $page->rig->places[$place]->name }}</button> @endif @endforeach
        </nav>
        <div class="map-place">
            @if ($wiring->drawing === null)
                <div class="laying" x-data="layOut" data-key="laying-{{ $wiring->map->structure() }}"
                    data-layout="{{ $wiring->taskText() }}">
                    @if ($page->rig->units === [])
                        <p>There is no unit in this rig yet: nothing to draw.</p>
                    @else
                        <p role="status" data-layout-says x-text="says">Laying the map out …</p>
                        <button type="button" class="btn btn-sm btn-ink" x-bind:hidden="isDone" x-on:click="stop">Stop</button>
                    @endif
                </div>
            @else
                @include('rigs.drawing', ['drawing' => $wiring->drawing])
                @if ($wiring->task !== null) <div hidden x-data="layOut" data-key="lines-{{ $wiring->map->structure() }}"
                    data-layout="{{ $wiring->taskText() }}"></div> @endif
            @endif
            <details class="wire-legend">
                <summary>Lines</summary>
                <ul>
                    @foreach (['analog' => 'analog', 'digital' => 'digital: USB, optical, HDMI', 'computer' => 'inside a computer',
                        'network' => 'network', 'air' => 'through the air'] as $realm => $words)
                        <li><svg width="44" height="10" aria-hidden="true"><path class="wire realm-{{ $realm }}"
                            d="M2,5 H42"/>@if ($realm === 'digital')<path class="wire-core" d="M2,5 H42"/>@endif</svg> {{ $words }}</li>
                    @endforeach
                    <li><svg width="44" height="10" aria-hidden="true"><path class="wire realm-analog"
                        d="M2,5 H42"/><path class="return-mark" d="M26,0 L18,5 L26,10 Z"/></svg> goes back: a return path</li>
                </ul>
            </details>
        </div>
        @if ($page->canEdit)
            <x-edit :page="$page" class="visually-hidden" :fields="['edit' => 'plug']" data-plug-form
                :data-then="$page->url(['select' => null, 'with' => null])"><input type="hidden" name="from"
                value="{{ $page->selectedSocket }}"><input type="hidden" name="to" value=""></x-edit>
        @endif
        @if ($hasSheet) <x-sheet :page="$page" /> @endif
    </div>
    <x-slot:strip>@if ($strip !== null) <x-way-strip :page="$page" :strip="$strip" /> @endif</x-slot:strip>
</x-rig-frame>

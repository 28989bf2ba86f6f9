<x-rig-frame :page="$page">
    <div class="page show-page">
        <div class="recipes-head">
            <h2>{{ $page->situation->name }} <small>what lies under the hands</small></h2>
            <p class="show-do"><a href="{{ $page->url(['unlocked' => $show->isUnlocked ? null : '1']) }}">{{ $show->isUnlocked ? 'Lock'
                : 'Unlock' }}</a> <a href="{{ $page->url([], 'controls') }}">Change the controls</a></p>
        </div>
        @if ($page->rig->controls === []) <p class="quiet">No control is entered yet. They are entered under <a
            href="{{ $page->url([], 'controls') }}">Controls</a>.</p> @endif
        @foreach ($show->controls->surfaces() as $surface => $list)
            <section aria-label="{{ $surface }}">
                <h3>{{ $surface }}</h3>
                <ul class="legends">
                    @foreach ($list as $control)
                        @php $way = $show->way($control); $does = $way === null ? $show->does($control) : ''; @endphp
                        <li data-key="legend-{{ $control->id }}"
                            @class(['is-here' => $way !== null && $way[2], 'is-idle' => $way === null && $does === ''])>
                            <p class="legend-kind">{{ $control->name }}</p>
                            <p class="legend-says">@if ($way !== null && ! $way[2]) <a href="{{ $way[1] }}">{{ $control->legend ?: $way[0]
                                }}</a> @else {{ $control->legend ?: $control->name }} @endif</p>
                            @if ($way !== null) <p class="legend-does">{{ $way[2] ? 'here now' : "goes to {$way[0]}" }}</p>
                            @else <p class="legend-does">{{ $does === '' ? 'does nothing now' : $does }}</p>
                            <p class="legend-now figures">{{ implode(', ', $show->now($control)) }}</p> @endif
                            @if ($show->controls->trouble($control) !== '') <p class="legend-trouble">{{ $show->controls->trouble($control)
                                }}</p> @endif
                            @if ($show->isUnlocked) <x-edit :page="$page" :fields="['edit' => 'control', 'control' => $control->id,
                                'name' => $control->name, 'kind' => $control->kind->value, 'legend' => $control->legend,
                                'at' => (string) $control->at, 'bank' => $control->bank, 'position' => (string) $control->position,
                                'learned' => $control->isLearned ? '0' : '1', 'situation' => '']"><button class="do" type="submit">{{
                                $control->isLearned ? 'Not seen on the real one' : 'Seen on the real one' }}<span class="visually-hidden">:
                                {{ $control->name }}</span></button></x-edit> @endif
                        </li>
                    @endforeach
                </ul>
            </section>
        @endforeach
        @if (count($page->rig->situations) > 1)
            <section class="by-hand-part" aria-label="By hand to another situation">
                <p>By hand to @foreach ($page->rig->situations as $one) @if ($one !== $page->situation) <a
                    href="{{ $page->url(['to' => $one->id]) }}#by-hand" @if ($one === $show->to()) aria-current="true" @endif>{{ $one->name
                    }}</a> @endif @endforeach</p>
                @if ($show->to() !== null) <div id="by-hand" x-data="fetched" data-from="{{ $show->byHandUrl($show->to()) }}"
                    data-key="by-hand-{{ $page->record->revision }}-{{ $page->situation->id }}-{{ $show->to()->id }}"><p role="status">What
                    happens on the way is worked out. <a href="{{ $show->byHandUrl($show->to()) }}">Show it alone</a></p></div> @endif
            </section>
        @endif
    </div>
</x-rig-frame>

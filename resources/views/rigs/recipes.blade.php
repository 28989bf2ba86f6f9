@php
    use HiddenWire\Core\Quantity\Count;
    $shown = $recipes->shown;
@endphp
<x-rig-frame :page="$page">
    <div class="page recipes">
        @if ($shown === null)
            <p class="quiet">No unit here has an inside that can be set. Mixers, interfaces, broadcast programs have; add one in
                <a href="{{ $page->url([], 'stock') }}">Stock</a>.</p>
        @else
            <nav class="units-nav" aria-label="Units">
                @foreach ($recipes->units as $one) <a href="{{ $page->url(['select' => "unit:{$one->id}"]) }}" @if ($one === $shown->unit)
                    aria-current="true" @endif>{{ $one->name }}</a> @endforeach
            </nav>
            <div class="recipes-head">
                <h2>{{ $shown->unit->name }} <small>{{ $page->rig->modelOf($shown->unit)->name }}</small></h2>
                @if (! $page->rig->isBase($page->situation->id))
                    <p class="recording">What is set here holds in {{ $page->situation->name }} only.</p> @endif
                <nav class="depths" aria-label="Form">
                    <a href="{{ $page->url(['select' => "unit:{$shown->unit->id}"]) }}" @if (! $recipes->isMatrix)
                        aria-current="true" @endif>Cards</a>
                    <a href="{{ $page->url(['select' => "unit:{$shown->unit->id}", 'as' => 'matrix']) }}" @if ($recipes->isMatrix)
                        aria-current="true" @endif>Matrix</a>
                    <a href="{{ $page->url(['select' => "unit:{$shown->unit->id}"], 'names') }}">Names</a>
                </nav>
            </div>
            <div class="mix-folds">
                <x-volumes :page="$page" :knobs="$recipes->knobs" />
                <x-named-settings :page="$page" :unit="$shown->unit" folded />
                @if ($recipes->chains !== null) <x-chains :page="$page" :unit="$shown->unit" :chains="$recipes->chains" /> @endif
                @if ($shown->rules() !== [])
                    <ul class="rules" aria-label="Rules of {{ $shown->unit->name }}">@foreach ($shown->rules() as $rule)
                        <li><strong>{{ $rule['label'] }}</strong> {{ $rule['words'] }} @if ($rule['isInForce'])
                        <span class="tag">in force</span> @endif</li> @endforeach</ul>
                @endif
                @if ($recipes->meters !== [] || $recipes->lamps !== [])
                    <details class="stock-more readings"
                        data-keep><summary>What its meters and lamps show in {{ $page->situation->name }}</summary>
                        <p class="quiet">One sound at a time, at its own level.
                            What a meter does not show, it can't see from where it is taken.</p>
                        <table class="facts"><tbody>
                            @foreach ($recipes->meters as $meter)
                                <tr><th scope="row">{{ $meter->label }}<small>a usual level: {{ $meter->target }}</small></th>
                                    <td><x-meter :meter="$meter" />@forelse ($meter->sounds as $sound)
                                <span class="reading">{{ $sound['name'] }} <strong>{{ $sound['reading'] }}</strong></span> @empty
                                <span class="quiet">nothing</span> @endforelse</td></tr> @endforeach
                            @foreach ($recipes->lamps as $label => $isLit)
                                <tr><th scope="row">{{ $label }}<small>lamp</small></th><td>@if ($isLit)<strong>lit</strong>@else
                                dark @endif</td></tr> @endforeach
                        </tbody></table>
                    </details>
                @endif
            </div>
            <x-mix-shapes :scale="$shown->scale" />
            @if ($shown->controls !== [])
                <section class="ingredients" aria-label="What comes in">
                    @php [$used, $idle] = $shown->controlsByUse(); @endphp
                    @if ($used !== []) <x-strips-in :page="$page" :recipes="$shown" :controls="$used" /> @endif
                    @if ($idle !== [])
                        <details class="stock-more" data-keep>
                            <summary>{{ Count::of(count($idle), 'input') }} with nothing plugged in</summary>
                            <x-strips-in :page="$page" :recipes="$shown" :controls="$idle" />
                        </details>
                    @endif
                </section>
            @endif
            @if ($recipes->isMatrix)
                <div class="matrix-scroll" tabindex="0" role="region" aria-label="Matrix of {{ $shown->unit->name }}">
                    <table class="matrix" x-data="grid" x-on:keydown="key">
                        <thead><tr><th scope="col">from</th>@foreach ($shown->recipes as $recipe)
                            <th scope="col">{{ $recipe->output->label }}</th> @endforeach</tr></thead>
                        <tbody x-ignore>
                            @foreach ($shown->inputs() as $input)
                                <tr><th scope="row">{{ $input->label }}</th>
                                    @foreach ($shown->recipes as $recipe)
                                        @php $feed = $shown->feedOf($recipe, $input); @endphp
                                        <td>@if ($feed !== null) <x-matrix-cell :page="$page" :unit="$shown->unit->id" :route="$feed->now"
                                            :name="$input->label.' in '.$recipe->output->label" :words="$feed->levelWords() ?: 'in'"
                                            /> @endif</td>
                                    @endforeach
                                </tr>
                            @endforeach
                        </tbody>
                    </table>
                </div>
            @else
                <div class="recipe-cards" x-ignore>
                    @foreach ($shown->recipes as $recipe)
                        <article class="recipe" id="recipe-{{ $recipe->output->id }}">
                            <header>
                                <h3>{{ $recipe->output->label }}</h3>
                                <p>@if ($recipe->heardBy() === '') <span class="quiet">nobody listens behind it</span> @else
                                    <span class="quiet">heard by</span> <strong>{{ $recipe->heardBy() }}</strong> @endif
                                    @if ($recipe->following() !== '') <span class="tag">{{ $recipe->following() }}</span> @endif</p>
                                @if ($recipe->output->isControlled()) <x-dial :page="$page" :control="$recipe->control" /> @endif
                            </header>
                            @if ($recipe->isSelector()) <x-recipe-choice :page="$page" :unit="$shown->unit->id" :recipe="$recipe" />
                            @else
                                @if ($recipe->in() !== [])
                                    <ul @class(['mix-in', 'is-printed' => $recipe->hasPrinted()])>
                                        <li class="mix-row mix-head" aria-hidden="true"><span></span><svg class="mix-bar" viewBox="0 0 {{
                                            $shown->scale::WIDTH }} 16" width="{{ $shown->scale::WIDTH }}" height="16"><use
                                            href="#mix-figures"/></svg><span>fader + send</span>
                                            @if ($recipe->hasLevels())<span>send</span>@endif</li>
                                        @foreach ($recipe->in() as $feed)
                                            <x-recipe-feed :page="$page" :recipes="$shown" :recipe="$recipe" :feed="$feed" />
                                        @endforeach
                                    </ul>
                                @endif
                                <div class="left-out">@if ($recipe->out() === []) <span class="quiet">{{ $recipe->in() === []
                                    ? 'Nothing is in this mix.' : 'Every input is in this mix.' }}</span> @else
                                    <span class="quiet">Not in this mix:</span>@endif
                                    @foreach ($recipe->out() as $feed)
                                        <x-feed-left-out :page="$page" :unit="$shown->unit->id" :recipe="$recipe" :feed="$feed" />
                                    @endforeach
                                </div>
                            @endif
                            @if ($recipe->idle() !== [] && ! $recipe->isSelector())
                                <details class="stock-more idle-feeds" data-keep>
                                    <summary>{{ Count::of(count($recipe->idle()), 'input') }} with nothing plugged in<span
                                        class="visually-hidden"> of {{ $recipe->output->label }}</span></summary>
                                    <ul class="mix-in">
                                        @foreach ($recipe->idle() as $feed)
                                            @if ($feed->now->on)
                                                <x-recipe-feed :page="$page" :recipes="$shown" :recipe="$recipe" :feed="$feed" />
                                            @else
                                                <li><x-feed-left-out :page="$page" :unit="$shown->unit->id" :recipe="$recipe"
                                                    :feed="$feed" /></li>
                                            @endif
                                        @endforeach
                                    </ul>
                                </details>
                            @endif
                            <div class="mix-more">
                                <x-recipe-listen :page="$page" :recipes="$recipes" :recipe="$recipe" />
                                <x-recipe-more :page="$page" :recipes="$shown" :recipe="$recipe" />
                            </div>
                        </article>
                    @endforeach
                </div>
                <p class="quiet mix-foot">{{ $shown->tapWords() }} Levels in dB; what is fainter than −24 dB stands at the left end.</p>
            @endif
        @endif
    </div>
</x-rig-frame>

<x-rig-frame :page="$page">
    <div class="page names">
        <div class="recipes-head">
            <h2>Names</h2>
            <nav class="depths" aria-label="Form"><a href="{{ $page->url([], 'recipes') }}">Recipes</a>
                <a href="{{ $page->url() }}" aria-current="true">Names</a></nav>
        </div>
        @if ($names->misnomers !== [])
            <section class="misnomers" aria-labelledby="misnomers-title">
                <h3 id="misnomers-title">Names that mislead</h3>
                <ul>
                    @foreach ($names->misnomers as $one)
                        <li><span>{{ $one['sentence'] }}.</span>
                            <x-edit :page="$page" :fields="[...$one['fields'], 'name' => $one['offer']]"><button class="do"
                            type="submit">Call it {{ $one['offer'] }}<span class="visually-hidden">:
                            {{ $one['sentence'] }}</span></button></x-edit></li>
                    @endforeach
                </ul>
            </section>
        @endif
        <section aria-labelledby="feeds-title">
            <h3 id="feeds-title">What each feed is called, stage by stage</h3>
            <p class="quiet">From where it is mixed to the program that takes it, or from the program to where it parts, in {{
                $page->situation->name }}.</p>
            @forelse ($names->feeds as $feed)
                <article class="feed-row">
                    <h4>{{ $feed['program'] }} <small>{{ $feed['goes'] }} {{ $feed['point'] }}</small></h4>
                    <ol class="stages">
                        @if ($feed['goes'] === 'takes' && $feed['beyond'] !== '') <li class="beyond">{{ $feed['beyond'] }}</li> @endif
                        @foreach ($feed['stages'] as $stage)
                            <li><small>{{ $stage['where'] }}</small><span>{{ $stage['name'] }}</span></li> @endforeach
                        @if ($feed['goes'] === 'plays' && $feed['beyond'] !== '') <li class="beyond">{{ $feed['beyond'] }}</li> @endif
                    </ol>
                    <p class="carries">@if ($feed['sounds'] !== '') carries {{ $feed['sounds'] }} @else
                        <span class="quiet">carries nothing now</span> @endif</p>
                </article>
            @empty
                <p class="quiet">No program takes or plays anything yet.</p>
            @endforelse
        </section>
        @if ($names->shown !== null)
            <section class="own-names" aria-labelledby="own-names-title">
                <h3 id="own-names-title">Names of your own</h3>
                <nav class="units-nav" aria-label="Units">
                    @foreach ($names->units as $one) <a href="{{ $page->url(['select' => "unit:{$one->id}"]) }}#own-names-title"
                        @if ($one === $names->shown) aria-current="true" @endif>{{ $one->name }}</a> @endforeach
                </nav>
                <ul class="name-list">
                    @foreach ($names->points as $point)
                        <li><x-edit :page="$page" class="row-form" data-save
                            :fields="['edit' => 'name-point', 'unit' => $names->shown->id, 'point' => $point['id'],
                            'situation' => '']"><label><span>{{ $point['label'] }}</span>
                            <input name="name" maxlength="{{ Bounds::POINT_NAME }}" value="{{ $point['name'] }}"
                            placeholder="no name of its own"></label><button class="do" type="submit">Save<span class="visually-hidden">
                            the name of {{ $point['label'] }}</span></button></x-edit></li>
                    @endforeach
                </ul>
            </section>
        @endif
    </div>
</x-rig-frame>

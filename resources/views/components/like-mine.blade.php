@props(['like', 'crew' => null])
{{-- Starters, by how near they are to what somebody has. --}}
@php use App\ViewModels\Having; @endphp
<div class="like-mine" id="like-mine" x-data="likeMine">
    <form class="like-have" method="get" action="{{ route('rigs.index') }}#like-mine" aria-labelledby="have-title"
        x-on:submit.prevent="look" x-on:change="look">
        @if ($crew !== null) <input type="hidden" name="crew" value="{{ $crew->id }}"> @endif
        <h3 id="have-title">What do you have?</h3>
        @foreach (Having::cases() as $having)
            <p class="have"><label for="have-{{ $having->value }}">{{ $having->label() }}</label>
                <button type="button" class="do with-scripts" data-step="-1" x-on:click="step"
                    aria-label="One less of {{ $having->label() }}">−</button>
                <input type="number" id="have-{{ $having->value }}" name="{{ $having->value }}" min="0" max="{{ $like::MOST }}"
                    value="{{ $like->wanted[$having->value] }}">
                <button type="button" class="do with-scripts" data-step="1" x-on:click="step"
                    aria-label="One more of {{ $having->label() }}">+</button></p>
        @endforeach
        <label class="have-else">Something else <input class="form-control" type="search" name="like" value="{{ $like->text }}"
            maxlength="{{ Bounds::SHORT_NAME }}" placeholder="tablet, hall loudspeakers"></label>
        <button class="do" type="submit">Sort</button>
    </form>
    <div class="like-found" data-found x-ref="found">
        <div class="like-head"><h3>{{ $like->isAsked() ? 'Nearest first' : 'Simplest first' }}</h3>
            <span class="quiet">{{ count($like->fits) }} starters, each complete and all as wished</span>
            @if ($like->isAsked()) <span class="fit-key"><i class="fit fit-same"></i> as you have it <i class="fit fit-more"></i> it has
                more <i class="fit fit-less"></i> it has less</span> @endif</div>
        @forelse ($like->fits as $fit)
            @php $card = $fit['card']; @endphp
            <article class="starter-row">
                <x-small-map :map="$card->drawing" />
                <div class="starter-says"><h4>{{ $card->name }}</h4><p>{{ $card->summary }}</p></div>
                <div class="starter-fit">@if ($like->isAsked())
                    <span class="fits" aria-hidden="true">@foreach ($fit['fits'] as $how) <i class="fit fit-{{ $how }}"></i>
                    @endforeach</span>
                    <strong>{{ $fit['same'] }} of {{ count($fit['fits']) }} fit</strong>
                    @if ($fit['more'] !== '') <small>more: {{ $fit['more'] }}</small> @endif
                    @if ($fit['less'] !== '') <small>less: {{ $fit['less'] }}</small> @endif @endif</div>
                <form class="starter-open" method="post" action="{{ route('rigs.start') }}">
                    @csrf
                    @if ($crew !== null) <input type="hidden" name="crew" value="{{ $crew->id }}"> @endif
                    <input type="hidden" name="starter" value="{{ $card->id }}">
                    <span class="quiet">{{ trans_choice('{1} :count unit|[2,*] :count units', $card->units) }},
                        {{ trans_choice('{0} no cable|{1} :count cable|[2,*] :count cables', $card->cables) }}</span>
                    <button class="do" type="submit" aria-label="Open a copy of {{ $card->name }}">Open a copy</button>
                </form>
            </article>
        @empty
            <p class="quiet">No starter is about that. Take something away, or begin empty.</p>
        @endforelse
    </div>
</div>

@props(['page'])
@php $odds = count($page->atOdds()); @endphp
<x-page :title="$page->rig->name" class="rig" data-rig="{{ $page->record->id }}">
    <a class="visually-hidden-focusable skip" href="#view">To the view</a>
    <header class="top">
        <x-brand />
        <h1>{{ $page->rig->name }}</h1>
        <nav class="situations" aria-label="Situation">
            @foreach ($page->rig->situations as $situation)
                <a href="{{ $page->url(['situation' => $situation->id]) }}" @if ($situation->id === $page->situation->id) aria-current="true" @endif>{{ $situation->name }}</a>
            @endforeach
        </nav>
        <div class="top-end">
            <a class="odds" href="{{ $page->url([], 'wishes') }}">
                @if ($odds === 0) All as wished @else <strong>{{ $odds }}</strong> not as wished @endif
            </a>
            <div class="undo"><x-undo :page="$page" /></div>
            <x-account />
        </div>
    </header>
    <nav class="rail" aria-label="Steps of the work">
        <a href="{{ $page->url([], 'wishes') }}" accesskey="1" @if ($page->view === 'wishes') aria-current="page" @endif><span class="step" aria-hidden="true">1</span><span>Wishes</span></a>
        <a href="{{ $page->url([], 'stock') }}" accesskey="2" @if ($page->view === 'stock') aria-current="page" @endif><span class="step" aria-hidden="true">2</span><span>Stock</span></a>
        <a href="{{ $page->url([], 'wiring') }}" accesskey="3" @if ($page->view === 'wiring') aria-current="page" @endif><span class="step" aria-hidden="true">3</span><span>Wiring</span></a>
        <div class="rail-end">
            <a href="{{ $page->url([], 'history') }}" @if ($page->view === 'history') aria-current="page" @endif><i class="bi bi-clock-history" aria-hidden="true"></i><span>History</span></a>
            <a href="{{ route('rigs.document', $page->record->id) }}" download><i class="bi bi-download" aria-hidden="true"></i><span>Document</span></a>
            <a href="{{ route('rigs.index') }}"><i class="bi bi-collection" aria-hidden="true"></i><span>All rigs</span></a>
        </div>
    </nav>
    <main id="view" class="view" tabindex="-1">{{ $slot }}</main>
    {{ $strip ?? '' }}
    @if ($errors->any()) <p class="message trouble" role="alert">{{ implode(' ', $errors->all()) }}</p>
    @elseif (session('said')) <p class="message" role="status">{{ session('said') }}</p> @endif
    <x-keys />
</x-page>

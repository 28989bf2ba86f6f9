@props(['page'])
@php
    use App\ViewModels\Step;
    $odds = count($page->atOdds());
@endphp
<x-page :title="$page->rig->name" class="rig" data-rig="{{ $page->record->id }}" data-revision="{{ $page->record->revision }}" data-view="{{ $page->view }}" data-pulse="{{ route('rigs.pulse', $page->record->id) }}" data-find="{{ $page->url([], 'find') }}">
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
            <span class="here" data-here aria-live="polite"></span>
            @if (! $page->canEdit) <span class="tag">look only</span> @endif
            <a class="odds" href="{{ $page->url([], 'wishes') }}">
                @if ($odds === 0) All as wished @else <strong>{{ $odds }}</strong> not as wished @endif
            </a>
            <a class="plain find-open" data-key-find href="{{ $page->url([], 'find') }}" title="Find (/)" aria-label="Find"><i class="bi bi-search" aria-hidden="true"></i></a>
            @if ($page->canEdit) <div class="undo"><x-undo :page="$page" /></div> @endif
            <x-account />
        </div>
    </header>
    <nav class="rail" aria-label="Steps of the work">
        @foreach (Step::RAIL as $i => $step)
            <a href="{{ $page->url([], $step->value) }}" data-key-step="{{ $i + 1 }}" @if ($page->view === $step->value) aria-current="page" @endif><span class="step" aria-hidden="true">{{ $i + 1 }}</span><span>{{ $step->label() }}</span></a>
        @endforeach
        <div class="rail-end">
            <a href="{{ $page->url([], 'situations') }}" @if ($page->view === 'situations') aria-current="page" @endif><i class="bi bi-layers" aria-hidden="true"></i><span>Situations</span></a>
            <a href="{{ $page->url([], 'cables') }}" @if ($page->view === 'cables') aria-current="page" @endif><i class="bi bi-table" aria-hidden="true"></i><span>Cable table</span></a>
            <a href="{{ $page->url([], 'people') }}" @if ($page->view === 'people') aria-current="page" @endif><i class="bi bi-people" aria-hidden="true"></i><span>People</span></a>
            <a href="{{ $page->url([], 'history') }}" @if ($page->view === 'history') aria-current="page" @endif><i class="bi bi-clock-history" aria-hidden="true"></i><span>History</span></a>
            <a href="{{ route('rigs.document', $page->record->id) }}" download><i class="bi bi-download" aria-hidden="true"></i><span>Document</span></a>
            <a href="{{ route('rigs.index') }}"><i class="bi bi-collection" aria-hidden="true"></i><span>All rigs</span></a>
        </div>
    </nav>
    <main id="view" class="view" tabindex="-1">{{ $slot }}</main>
    {{ $strip ?? '' }}
    @if ($errors->any()) <p class="message trouble" role="alert">{{ implode(' ', $errors->all()) }}</p>
    @elseif (session('said')) <p class="message" role="status">{{ session('said') }}</p> @endif
    <dialog class="finder" data-finder aria-label="Find">
        <form method="get" action="{{ route('rigs.find', $page->record->id) }}" role="search">
            <label class="visually-hidden" for="find-text">Unit, socket, cable, device, sound, view or action</label>
            <input id="find-text" class="form-control" type="search" name="q" autocomplete="off" placeholder="Unit, cable, device, sound, view …" aria-controls="found">
        </form>
        <ul id="found" class="found" data-found></ul>
    </dialog>
    <x-keys />
</x-page>

@props(['page'])
@php
    use App\ViewModels\Step;
    $odds = count($page->atOdds());
@endphp
<x-page :title="$page->title()" class="rig" data-rig="{{ $page->record->id }}" data-revision="{{ $page->record->revision }}"
    data-view="{{ $page->view }}" data-pulse="{{ route('rigs.pulse', $page->record->id) }}" data-find="{{ $page->url([], 'find') }}">
    <a class="visually-hidden-focusable skip" href="#view">Skip to content</a>
    <header class="top">
        <x-brand />
        <h1>{{ $page->rig->name }}</h1>
        <nav class="situations" aria-label="Situation">
            @foreach ($page->rig->situations as $situation)
                <a href="{{ $page->url(['situation' => $situation->id]) }}" @if ($situation->id === $page->situation->id)
                    aria-current="true" @endif>{{ $situation->name }}</a>
            @endforeach
        </nav>
        <div class="top-end">
            <span class="here" data-key="here" data-own x-data="pulse" x-text="here" aria-live="polite"></span>
            @if (! $page->canEdit) <span class="tag">view only</span> @endif
            <a class="odds" href="{{ $page->url([], 'wishes') }}">
                @if ($odds > 0) <strong>{{ $odds }}</strong> not as wished @else {{ ucfirst($page->standing()) }} @endif
            </a>
            @php $found = $page->found(); @endphp
            <a class="found-count" href="{{ $page->url([], 'checks') }}"
                @if ($found === null && ! in_array($page->view, ['wishes', 'wiring', 'checks'], true) && count($page->rig->units) <= 150)
                x-data="found" data-key="found-{{ $page->record->revision }}" data-causes="{{ route('rigs.causes', $page->record) }}"
                x-text="says" @endif>{{ $found === null ? 'Checks' : ($found === '' ? 'Nothing found' : $found) }}</a>
            <a class="plain find-open" data-key-find href="{{ $page->url([], 'find') }}" title="Find (/)"
                aria-label="Find"><i class="bi bi-search" aria-hidden="true"></i></a>
            @if ($page->canEdit) <div class="undo"><x-undo :page="$page" /></div> @endif
            <button type="button" class="plain keys-open" data-key-list title="Keys (?)" aria-label="Keys"><i class="bi bi-keyboard"
                aria-hidden="true"></i></button>
            <x-account />
        </div>
    </header>
    <nav class="rail" aria-label="Steps of the work">
        @foreach (Step::RAIL as $i => $step)
            <a href="{{ $page->url([], $step->value) }}" data-key-step="{{ $i + 1 }}" @if ($page->view === $step->value)
                aria-current="page" @endif><span class="step" aria-hidden="true">{{ $i + 1 }}</span><span>{{ $step->label() }}</span></a>
        @endforeach
        <div class="rail-end">
            <a href="{{ $page->url([], 'returns') }}" @if ($page->view === 'returns')
                aria-current="page" @endif><i class="bi bi-arrow-return-left" aria-hidden="true"></i><span>Own returns</span></a>
            <a href="{{ $page->url([], 'dependence') }}" @if ($page->view === 'dependence')
                aria-current="page" @endif><i class="bi bi-diagram-2" aria-hidden="true"></i><span>Dependence</span></a>
            <a href="{{ $page->url([], 'situations') }}" @if ($page->view === 'situations')
                aria-current="page" @endif><i class="bi bi-layers" aria-hidden="true"></i><span>Situations</span></a>
            <a href="{{ $page->url([], 'cables') }}" @if ($page->view === 'cables') aria-current="page" @endif><i class="bi bi-table"
                aria-hidden="true"></i><span>Cable table</span></a>
            <a href="{{ $page->url([], 'doubts') }}" @if ($page->view === 'doubts')
                aria-current="page" @endif><i class="bi bi-question-circle" aria-hidden="true"></i><span>Doubts</span></a>
            <a href="{{ $page->url([], 'people') }}" @if ($page->view === 'people') aria-current="page" @endif><i class="bi bi-people"
                aria-hidden="true"></i><span>People</span></a>
            <a href="{{ $page->url([], 'history') }}" @if ($page->view === 'history')
                aria-current="page" @endif><i class="bi bi-clock-history" aria-hidden="true"></i><span>History</span></a>
            <a href="{{ $page->url([], 'cards') }}" @if ($page->view === 'cards') aria-current="page" @endif><i class="bi bi-card-checklist"
                aria-hidden="true"></i><span>Cards</span></a>
            <a href="{{ $page->url([], 'book') }}" @if ($page->view === 'book') aria-current="page" @endif><i class="bi bi-book"
                aria-hidden="true"></i><span>Book</span></a>
            <a href="{{ route('rigs.document', $page->record->id) }}" download><i class="bi bi-download"
                aria-hidden="true"></i><span>Document</span></a>
            <a href="{{ route('rigs.index') }}"><i class="bi bi-collection" aria-hidden="true"></i><span>All rigs</span></a>
        </div>
    </nav>
    <main id="view" class="view" tabindex="-1">@if ($page->uncounted() > 0) <x-uncounted :page="$page" /> @endif{{ $slot }}</main>
    {{ $strip ?? '' }}
    <div data-messages class="messages" role="status" aria-live="polite">@if (! $errors->any() && session('said'))<p class="message"
        x-data="message" data-key="said-{{ $page->record->revision }}-{{ md5(session('said')) }}">{{ session('said') }}
        <button type="button" class="plain" x-on:click="put" aria-label="Dismiss"><i class="bi bi-x-lg"
        aria-hidden="true"></i></button></p>@endif</div>
    @if ($errors->any()) <p class="message trouble" role="alert" x-data="message">{{ implode(' ', $errors->all()) }}
        <button type="button" class="plain" x-on:click="put" aria-label="Dismiss"><i class="bi bi-x-lg"
        aria-hidden="true"></i></button></p> @endif
    <dialog class="finder" aria-label="Find" x-data="finder" x-on:find.window="open" x-on:keydown.down="down" x-on:keydown.up="up">
        <form method="get" action="{{ route('rigs.find', $page->record->id) }}" role="search" x-on:submit.stop="first">
            <label class="visually-hidden" for="find-text">Unit, socket, cable, device, sound, view or action</label>
            <input id="find-text" class="form-control" type="search" name="q" autocomplete="off"
                placeholder="Unit, cable, device, sound, view …" aria-controls="found" x-ref="text" x-on:input="typed">
        </form>
        <ul id="found" class="found" data-found x-ref="list" x-on:click="gone">
            <template x-for="one in found"><li><a x-bind:href="one.url"><strong x-text="one.what"></strong>
                <small x-text="one.kind"></small></a></li></template>
        </ul>
        <p class="found-says" x-text="says" aria-live="polite"></p>
    </dialog>
    <x-keys />
</x-page>

@props(['page', 'tools' => null])
@php
    $odds = count($page->atOdds());
    $rail = $page->rail();
    $views = implode(' ', array_map(fn ($step) => $step->value, App\ViewModels\Step::cases()));
@endphp
<x-page :title="$page->title()" class="rig" data-rig="{{ $page->record->id }}" data-revision="{{ $page->record->revision }}"
    data-view="{{ $page->view }}" data-views="{{ $views }}" data-pulse="{{ route('rigs.pulse', $page->record->id) }}"
    data-find="{{ $page->url([], 'find') }}">
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
            <a class="find-open" data-key-find href="{{ $page->url([], 'find') }}" title="Find (/)"><i class="bi bi-search"
                aria-hidden="true"></i><span>Find</span><kbd aria-hidden="true">/</kbd></a>
            @if ($page->canEdit) <div class="undo"><x-undo :page="$page" /></div> @endif
            <x-rig-menu :page="$page" />
        </div>
    </header>
    <nav class="rail" aria-label="Stops">
        @foreach ($rail->stops as $i => $stop)
            <a href="{{ $stop['url'] }}" data-key-stop="{{ $i + 1 }}" @if ($stop['isHere']) aria-current="page" @endif><span
                class="key" aria-hidden="true">{{ $i + 1 }}</span><span class="stop-name">{{ $stop['label'] }}</span><x-stop-mark
                :at="$stop['at']" /></a>
        @endforeach
    </nav>
    <x-next-step :page="$page" :rail="$rail" />
    @if (count($rail->tabs) > 1 || $tools !== null)
    <section class="tab-line" aria-label="Views and tools">
        <nav class="tabs" aria-label="Views">
            @foreach ($rail->tabs as $tab)
                <a href="{{ $tab->url }}" @if ($tab->isHere) aria-current="page" @endif
                    @class(['quiet' => $tab->isQuiet && ! $tab->isHere])>{{ $tab->label }}</a>
            @endforeach
        </nav>
        {{ $tools }}
    </section>
    @endif
    <main id="view" class="view" tabindex="-1">@if ($page->uncounted() > 0) <x-uncounted :page="$page" /> @endif{{ $slot }}
        @if ($page->isTested()) <p class="tested quiet" x-data="fetched" data-own
            data-key="tested-{{ $page->record->revision }}" data-from="{{ route('rigs.bench.standing', $page->record) }}"></p> @endif</main>
    {{ $strip ?? '' }}
    <div data-messages class="messages" role="status" aria-live="polite">@if (! $errors->any() && session('said'))<p class="message"
        x-data="message" data-key="said-{{ $page->record->revision }}-{{ md5(session('said')) }}">{{ session('said') }}
        <a class="said-more" href="{{ $page->url([], 'history') }}">History</a>
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

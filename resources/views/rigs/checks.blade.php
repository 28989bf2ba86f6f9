@use('HiddenWire\Core\Checks\Severity')
<x-rig-frame :page="$page">
    <div class="page checks">
        <h2>Checks <small>@if ($page->causes === null) looking … @elseif ($page->found() === '') nothing found @else {{ $page->found()
            }} @endif</small></h2>
        @if ($page->causes === null)
            <p class="lead-line causes-wait" x-data="causes" data-key="causes-{{ $page->record->revision }}"
                data-causes="{{ route('rigs.causes', $page->record) }}" role="status">Looking at the rig …</p>
            <noscript><p><a href="{{ $page->url(['causes' => '1']) }}">Run the checks</a></p></noscript>
        @else
            @if (count($page->openFindings()) > 1)
                <nav class="filters" aria-label="Which findings">
                    <span><a href="{{ $checks->url('severity', null) }}" @if ($checks->severity === null) aria-current="true" @endif>all</a>
                    @foreach (Severity::cases() as $severity) <a href="{{ $checks->url('severity', $severity->value) }}"
                        @if ($checks->severity === $severity) aria-current="true" @endif>{{ $severity->value }}s</a> @endforeach</span>
                    <span><a href="{{ $checks->url('kind', null) }}" @if ($checks->kind === '') aria-current="true" @endif>every kind</a>
                    @foreach ($checks->kinds as $kind => $name) <a href="{{ $checks->url('kind', $kind) }}" @if ($checks->kind === $kind)
                        aria-current="true" @endif>{{ $name }}</a> @endforeach</span>
                    @if (count($checks->places) > 1) <span><a href="{{ $checks->url('place', null) }}" @if ($checks->place === '')
                        aria-current="true" @endif>everywhere</a>
                    @foreach ($checks->places as $place => $name) <a href="{{ $checks->url('place', $place) }}"
                        @if ($checks->place === (string) $place) aria-current="true" @endif>{{ $name }}</a> @endforeach</span> @endif
                </nav>
            @endif
            @if ($page->openCauses() !== [] && $checks->showsHearing())
                <section class="finding-group" aria-labelledby="group-hearing">
                    <h3 id="group-hearing">Not as wished <small>{{ $page->causesTitle() }}</small></h3>
                    <ol class="causes">@foreach ($page->openCauses() as $i => $cause)
                        <li value="{{ $i + 1 }}"><x-cause :page="$page" :cause="$cause" :number="$i + 1" /></li> @endforeach</ol>
                </section>
            @endif
            @forelse ($checks->open as $severity => $findings)
                <section class="finding-group" aria-labelledby="group-{{ $severity }}">
                    <h3 id="group-{{ $severity }}">{{ ucfirst($severity) }}s
                        <small>{{ ['fault' => 'a wish is broken, or something can be damaged', 'risk' => 'likely to go wrong',
                        'note' => 'good to know'][$severity] }}</small></h3>
                    @foreach ($findings as $i => $finding) <x-finding :page="$page" :checks="$checks" :finding="$finding"
                        :number="'f'.($i + 1)" /> @endforeach
                </section>
            @empty
                <p class="quiet">@if ($page->causes->findings === []) The checks have found nothing. @else Nothing of that kind. @endif</p>
            @endforelse
            <x-accepted :page="$page" :items="$checks->accepted" />
            @if ($page->causes->untried > 0) <p class="quiet">{{ $page->causes->untried }} further changes were not tried.</p> @endif
        @endif
    </div>
</x-rig-frame>

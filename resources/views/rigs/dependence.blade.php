<x-rig-frame :page="$page">
    <div @class(['dependence-page', 'with-sheet' => $depends->selected !== null])>
    <section class="page dependence" aria-label="What depends on what, {{ $page->situation->name }}">
        @if ($depends->rows === []) <p class="quiet">Nothing that must be heard is heard in {{ $page->situation->name }} yet.</p> @else
        <div class="matrix-scroll" tabindex="0" role="region" aria-label="What fails, and who loses how much">
        <table class="fails"><thead><tr><th scope="col">When this fails</th>@foreach ($depends->hears as $listener => $count)
            <th scope="col">{{ $page->rig->listeners[$listener]->name }}<small>hears {{ $count }}</small></th> @endforeach
            <th scope="col" class="sum">Lost<small>of {{ $depends->wanted }}</small></th></tr></thead><tbody>
            @foreach ($depends->rows as $row)
                <tr @class(['chosen' => $row === $depends->selected])>
                    <th scope="row">@foreach ($row->links as $link)@if (! $loop->first)<span class="link-line"
                        aria-hidden="true"></span>@endif<a href="{{ $page->url(['select' => $row === $depends->selected ? null
                        : $link['key']]) }}" @class(['figures' => $link['isCable']])>{{ $link['name'] }}</a>@endforeach</th>
                    @foreach ($depends->hears as $listener => $count)
                        @php $lost = count($row->lost[$listener] ?? []); @endphp
                        <td>@if ($lost === $count) <span class="all">all {{ $count }}</span> @elseif ($lost > 0)
                            <span class="share">{{ $lost }}<svg viewBox="0 0 {{ $count }} 1" preserveAspectRatio="none"
                            aria-hidden="true"><rect width="{{ $lost }}" height="1"/></svg></span>
                            @endif</td>
                    @endforeach
                    <td class="sum figures">{{ $row->count }}</td>
                </tr>
            @endforeach
        </tbody></table>
        </div>
        <p class="quiet fails-foot">@if ($depends->from > 1) Drawn: what takes {{ $depends->from }} sounds or more.
            <a href="{{ $page->url(['all' => '1']) }}">All {{ $depends->all }}</a> @elseif ($page->asked('all') === '1')
            All {{ count($depends->rows) }}. <a href="{{ $page->url() }}">Only what takes many</a> @endif</p>
        @endif
        @if ($depends->starts !== [])
            <details class="more-of" id="first" data-keep><summary>What has to run first</summary>
            @foreach ($depends->starts as $row) <h3>{{ $row['computer'] }} <small>{{ $row['seconds'] === 0 ? 'in this order' :
                "ready after {$row['seconds']} s" }}</small></h3>
                <ol class="start-bars">@foreach ($row['bars'] as $bar)
                    <li><span>{{ $bar['name'] }}</span><svg viewBox="0 0 {{ max(1, $row['seconds']) }} 1" preserveAspectRatio="none"
                        aria-hidden="true"><rect x="{{ $bar['from'] }}" width="{{ max($row['seconds'] / 120, $bar['ready'] - $bar['from'])
                        }}" height="1"/></svg><small>@if ($bar['ready'] > 0) {{ $bar['from'] }} to {{ $bar['ready'] }} s @endif</small></li>
                @endforeach</ol>
                <p>@foreach ($row['late'] as $late) <span class="tag">{{ $late }}</span> @endforeach @if ($row['circle'] !== [])
                    <span class="tag">{{ implode(' and ', $row['circle']) }} wait for each other</span> @endif</p> @endforeach
            </details>
        @endif
        @if ($depends->plugs !== [])
            <details class="more-of" data-keep><summary>Plugs that can come loose <small>the ways with the most</small></summary>
            <table class="facts"><tbody>@foreach ($depends->plugs as $row) <tr><th scope="row">{{ $row['what'] }}</th><td class="figures"
                data-of="plugs">{{ $row['plugs'] }}</td><td>{{ $row['leads'] }}</td></tr> @endforeach</tbody></table></details>
        @endif
        @if ($depends->touches !== [])
            <details class="more-of" data-keep><summary>Where a sound is muted for everybody, and nothing else with it</summary>
            <table class="facts"><tbody>@foreach ($depends->touches as $row)
                <tr><th scope="row">{{ $row['sound'] }}</th><td>@if ($row['places'] === [])
                <span class="quiet">nowhere by itself</span> @else {{ implode(', then ', $row['places']) }} @endif
                @if ($row['left'] !== '' && $row['places'] !== [])
                <span class="quiet">not by itself at {{ $row['left'] }}</span> @endif @if ($row['opens'] !== '')
                <span class="quiet">that opens {{ $row['opens'] }}</span> @endif</td></tr> @endforeach</tbody></table></details>
        @endif
        @if ($depends->rehearsals !== [])
            <details class="more-of" data-keep><summary>When something takes the defaults
                <small>a headset that is plugged in, a driver that is installed</small></summary>
            <table class="facts"><thead><tr><th scope="col">Computer</th><th scope="col">Goes along</th><th scope="col">Lost</th><th
                scope="col">Protected by name</th></tr></thead><tbody>@foreach ($depends->rehearsals as $row)
                <tr><th scope="row">{{ $row['computer'] }}</th><td>{{ implode(', ', $row['follow']) ?: 'nothing' }}</td><td>{{ $row['lost']
                ?: 'nothing' }}</td><td class="figures" data-of="protected by name">{{ $row['protected'] }}</td></tr>
                @endforeach</tbody></table></details>
        @endif
        @if ($depends->unused !== null)
            <details class="more-of" data-keep><summary>Carries no wanted sound in any situation</summary>
            <p>@forelse ($depends->unused as $row) <a href="{{ $row['url'] }}">{{ $row['name'] }}</a>@if (! $loop->last), @endif @empty
                <span class="quiet">Everything is used.</span> @endforelse</p></details>
        @endif
    </section>
    @if ($depends->selected !== null)
        @php $row = $depends->selected; @endphp
        <aside class="odds-list fails-sheet" aria-label="When {{ $row->name() }} fails">
            <a class="sheet-close" data-key-close href="{{ $page->url(['select' => null]) }}" aria-label="Close the sheet"><i
                class="bi bi-x-lg" aria-hidden="true"></i></a>
            <h2>{{ $row->name() }}</h2>
            <p>{{ $depends->says($row) }}</p>
            @foreach ($row->lost as $listener => $pairs)
                <h3>{{ $page->rig->listeners[$listener]->name }} <span @class(['figures', 'all' => count($pairs) ===
                    $depends->hears[$listener]])>{{ count($pairs) === $depends->hears[$listener] ? 'all '.count($pairs)
                    : count($pairs)." of {$depends->hears[$listener]}" }}</span></h3>
                <p>{{ implode(', ', array_map(fn ($pair) => $pair->source->name, $pairs)) }}</p>
            @endforeach
            <p class="sheet-does"><a class="do" href="{{ $page->url(['layer' => 'dark'], 'wiring') }}">Show in wiring</a>
                @if ($page->selectedUnit !== null) <a href="{{ $page->url([], 'stock') }}">Models that fit</a> @endif</p>
        </aside>
    @endif
    </div>
</x-rig-frame>

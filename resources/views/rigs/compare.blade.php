@php use App\ViewModels\MapDepth; @endphp
<x-rig-frame :page="$page">
    <div class="page compare">
        <p><a href="{{ $page->url([], 'history') }}">History</a></p>
        <div class="recipes-head">
            <h2>From revision {{ $comparison->before->number }} to {{ $comparison->after->number }}</h2>
            <nav class="depths" aria-label="Depth of the maps">
                @foreach (MapDepth::cases() as $depth) <a href="{{ $comparison->depthUrl($depth) }}" @if ($depth === $page->depth)
                    aria-current="true" @endif>{{ $depth->label() }}</a> @endforeach
            </nav>
        </div>
        <p class="quiet">{{ $comparison->words() }}</p>
        <div class="compare-maps" x-data="fetched" data-key="maps-{{ $page->depth->value }}" data-own
            data-from="{{ $comparison->mapsUrl() }}">
            <p role="status"><a href="{{ $comparison->mapsUrl() }}">Laying the two maps out …</a></p>
        </div>
        <div class="compare-parts">
            <section aria-labelledby="changed-title">
                <h3 id="changed-title">What was changed</h3>
                @forelse ($comparison->difference->lines() as $about => $lines)
                    <h4>{{ $about }}</h4>
                    <ul class="changes">@foreach ($lines as $line) <li>{{ $line }}</li> @endforeach</ul>
                @empty <p class="quiet">Nothing.</p> @endforelse
            </section>
            <section class="odds-list" aria-labelledby="heard-title">
                <h3 id="heard-title">Who hears a difference</h3>
                @forelse ($comparison->heard() as $situation => $heard)
                    <h4>{{ $situation }}</h4>
                    <ul class="heard-changes">@foreach ($heard->pairs as $pair)
                        <li><span class="loop-line"><x-heard-change :before="$pair['before']" :after="$pair['after']"
                        /></span></li> @endforeach</ul>
                @empty <p class="quiet">For nobody.</p> @endforelse
            </section>
        </div>
        @foreach ($comparison->heard() as $situation => $heard)
            <section class="compare-table">
                <h3>Hearing table, {{ $situation }}</h3>
                <div class="matrix-scroll" tabindex="0" role="region" aria-label="Hearing table, {{ $situation }}">
                    <table class="hearing-change">
                        <thead><tr><th scope="col">Sounds</th>@foreach ($heard->after->rig->listeners as $listener)
                            <th scope="col">{{ $listener->name }}</th> @endforeach</tr></thead>
                        <tbody>
                            @foreach ($comparison->table($heard) as $sound => $cells)
                                <tr><th scope="row">{{ $sound }}</th>
                                    @foreach ($cells as $cell)
                                        <td class="@if ($cell['before'] !== null || $cell['isNew']) changed @endif">
                                            @if ($cell['before'] !== null)<x-verdict :verdict="$cell['before']->verdict"
                                                :silent="! $cell['before']->isHeard()" /><span class="visually-hidden">was:
                                                {{ App\ViewModels\WayStrip::say($cell['before']) }};
                                                now:</span><span aria-hidden="true">→</span>@endif
                                            <x-verdict :verdict="$cell['after']->verdict" :silent="! $cell['after']->isHeard()"
                                                /><span class="visually-hidden">{{ App\ViewModels\WayStrip::say($cell['after'])
                                                }}</span>@if ($cell['isNew']) <small>new</small>@endif
                                        </td>
                                    @endforeach
                                </tr>
                            @endforeach
                        </tbody>
                    </table>
                </div>
            </section>
        @endforeach
    </div>
</x-rig-frame>

<x-rig-frame :page="$page">
    <div class="page returns">
        <h2>Return feeds (mix-minus) <small>what callers, teams and parties get in {{ $page->situation->name }}:
            everything they are to hear, and not themselves</small></h2>
        @if ($returns->rows === [])
            <p class="quiet">No caller, team or party listens yet. Add one to the <a href="{{ $page->url([], 'wishes') }}">wishes</a>.</p>
        @else
            <div class="matrix-scroll" tabindex="0" role="region" aria-label="Return feeds">
                <table class="matrix returns-table">
                    <thead><tr><th scope="col">Gets</th>@foreach ($returns->sources as $source)
                        <th scope="col">{{ $source->name }}</th> @endforeach @if ($page->canEdit)
                        <th scope="col"><span class="visually-hidden">Change</span></th> @endif</tr></thead>
                    <tbody>
                        @foreach ($returns->rows as $row)
                            <tr>
                                <th scope="row">{{ $row['listener']->name }} <small>{{ $row['listener']->kind->value }}</small></th>
                                @foreach ($returns->sources as $source)
                                    @php ['pair' => $pair, 'isOwn' => $isOwn, 'isBack' => $isBack] = $row['cells'][$source->id]; @endphp
                                    <td class="@if ($isBack || $pair->verdict->isAtOdds()) at-odds @endif @if ($isOwn) own-voice @endif">
                                        <a href="{{ $page->url(['pair' => "{$source->id}:{$row['listener']->id}"], 'wishes') }}">
                                            @if ($isBack) <x-verdict :verdict="HiddenWire\Core\Signal\Verdict::Leak" /> @else
                                                <x-verdict :verdict="$pair->verdict" :silent="! $pair->isHeard()" /> @endif
                                            <span class="figures">{{ $pair->level()?->text() }}</span>
                                            <small>@if ($isBack) own voice, {{ $pair->delay()?->text()
                                                }} ms late @elseif ($isOwn) own voice, not in this mix @elseif (!
                                                $pair->isHeard()) not in this mix @endif</small>
                                            <span class="visually-hidden">{{ $source->name }} at {{ $row['listener']->name }}:
                                                {{ App\ViewModels\WayStrip::say($pair) }}.</span>
                                        </a>
                                    </td>
                                @endforeach
                                @if ($page->canEdit)
                                    <td>@if (! $row['isRight'])
                                        <x-edit :page="$page" :fields="['edit' => 'right-mix', 'listener' => $row['listener']->id]"><button
                                        class="do" type="submit">Set this return<span class="visually-hidden">
                                        for {{ $row['listener']->name }}</span></button></x-edit> @else
                                        <span class="quiet">right</span> @endif</td>
                                @endif
                            </tr>
                        @endforeach
                    </tbody>
                </table>
            </div>
        @endif
        @if ($returns->calls !== [])
            <h3>What each call sends</h3>
            <table class="facts"><tbody>
                @foreach ($returns->calls as $call)
                    <tr><th scope="row">{{ $call['name'] }}
                        <small>{{ $call['where'] }}</small></th><td>@forelse ($call['levels'] as $source => $db) {{
                        $page->rig->sources[$source]->name }} <span class="figures">{{ App\ViewModels\LevelsPage::db($db)
                        }}</span>@if (! $loop->last), @endif @empty <span class="quiet">nothing</span> @endforelse</td></tr>
                @endforeach
            </tbody></table>
        @endif
    </div>
</x-rig-frame>

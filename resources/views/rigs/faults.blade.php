@php
    $suspected = $faults->found() === null ? $faults->suspected() : [];
    $revisions = $faults->known === [] || $faults->room !== null ? [] : $faults->revisions();
@endphp
<x-rig-frame :page="$page">
    <div class="page fault-page">
        <div class="recipes-head">
            <h2>Find a fault</h2>
            <a href="{{ $page->url([], 'bench') }}">Back to Bench</a>
        </div>
        <p class="quiet fault-lead">Say what is heard in the room and should not be so. Each possible fault is tried on
            the plan; what explains all that is known is suspected, and the next check is the one that tells most for its effort.</p>
        @if ($faults->room !== null) <p><span class="tag">simulated room</span> A fault is hidden, and its listeners have said what is
            wrong. <a href="{{ $faults->startUrl() }}">Leave the room</a></p> @endif
        <div @class(['fault-columns', 'has-known' => $faults->known !== []])>
            <section aria-labelledby="fault-known">
                <h3 id="fault-known">Known in {{ $page->situation->name }}</h3>
                <ul class="fault-known">
                    @foreach ($faults->known() as $one)
                        <li><span>{{ $one['what'] }}: <strong>{{ $one['answer'] }}</strong></span>
                            @if ($one['url'] !== null) <a href="{{ $one['url'] }}">Take back<span class="visually-hidden">: {{ $one['what']
                                }}</span></a> @endif</li>
                    @endforeach
                </ul>
                @if ($faults->room === null)
                <form class="fault-say" method="get" action="{{ $faults->startUrl() }}">
                    <input type="hidden" name="situation" value="{{ $page->situation->id }}">
                    <input type="hidden" name="known" value="{{ $faults->knownText() }}">
                    <input type="hidden" name="since" value="{{ $faults->since?->number }}">
                    <input type="hidden" name="follow" value="{{ $faults->isFollowing ? '1' : '' }}">
                    <label>At <select class="form-select form-select-sm" name="listener">@foreach ($page->rig->listeners as $one)
                        <option value="{{ $one->id }}" @selected($one->id === $page->pair?->listener->id)>{{ $one->name
                        }}</option> @endforeach</select></label>
                    <label>Sound <select class="form-select form-select-sm" name="source">@foreach ($page->rig->sources as $one)
                        <option value="{{ $one->id }}" @selected($one->id === $page->pair?->source->id)>{{ $one->name
                        }}</option> @endforeach</select></label>
                    <label>Is <select class="form-select form-select-sm" name="said">@foreach ($faults::impressions() as $value => $words)
                        <option value="{{ $value }}" @selected($value === 'nothing')>{{ $words }}</option> @endforeach</select></label>
                    <button class="btn btn-sm btn-ink" type="submit">Add</button>
                </form>
                @if ($revisions !== [])
                <form class="fault-say" method="get" action="{{ $faults->startUrl() }}">
                    <input type="hidden" name="situation" value="{{ $page->situation->id }}">
                    <input type="hidden" name="known" value="{{ $faults->knownText() }}">
                    <label>All was well with revision <select class="form-select form-select-sm" name="since">
                        <option value="">not known</option>
                        @foreach ($revisions as $number => $words) <option value="{{ $number }}" @selected($number ===
                            $faults->since?->number)>{{ $words }}</option> @endforeach</select></label>
                    <button class="do" type="submit">Suspect what changed since</button>
                </form>
                @endif
                @elseif ($faults->found() === null)
                    <form class="fault-say" method="get" action="{{ $faults->startUrl() }}">
                        <input type="hidden" name="situation" value="{{ $page->situation->id }}">
                        <input type="hidden" name="known" value="{{ $faults->knownText() }}">
                        <input type="hidden" name="room" value="{{ $faults->seed }}">
                        <label>A check of your own <select class="form-select form-select-sm" name="check">
                            @foreach ($faults->choices() as $kind => $checks) <optgroup label="{{ $kind }}">
                                @foreach ($checks as $key => $words) <option value="{{ $key }}">{{ $words }}</option> @endforeach
                                </optgroup> @endforeach</select></label>
                        <button class="btn btn-sm btn-ink" type="submit">Make it</button>
                    </form>
                @endif
                @if ($faults->room === null && $faults->known === []) <p class="quiet">Or practise: <a href="{{ $faults->practiseUrl()
                    }}">find a hidden fault in a simulated room</a>.</p> @endif
            </section>
            <section aria-labelledby="fault-next" aria-live="polite">
                @if ($faults->isWaiting())
                    <h3 id="fault-next">Listening</h3>
                    <p x-data="causes" data-key="suspects-{{ $page->record->revision }}-{{ $page->situation->id }}" role="status"
                        data-causes="{{ $faults->hearUrl() }}"
                        data-progress="{{ $faults->progressUrl() }}">Every possible fault is tried on the plan …</p>
                @elseif ($faults->found() !== null)
                    <h3 id="fault-next">Found</h3>
                    <p class="fault-found">{{ $faults->found() }}</p>
                    <p>Put it back as planned, and listen again: if something is still wrong, begin with that.</p>
                    @if ($faults->foundDigests() !== null && $page->canEdit) <x-edit :page="$page" :fields="['edit' => 'found',
                        'faults' => $faults->foundDigests(), 'situation' => '']"><p>Or it is to stay as it is: <button class="do"
                        type="submit">Take it over into the plan</button></p></x-edit> @endif
                    @if ($faults->room !== null) <p>{{ $faults->score() }}</p>
                    <a class="btn btn-sm btn-ink" href="{{ $faults->practiseUrl() }}">Another hidden fault</a>
                    @endif
                @elseif ($faults->next !== null)
                    <h3 id="fault-next">Check next</h3>
                    <p class="fault-task">{{ $faults->task($faults->next) }}.</p>
                    @if ($faults->planned($faults->next) !== '') <p class="quiet">{{ $faults->planned($faults->next) }}</p> @endif
                    <ul class="fault-outcomes">
                        @foreach ($faults->outcomes($faults->next) as $one)
                            <li><a href="{{ $one['url'] }}"><strong>{{ $one['words'] }}</strong><small>{{ $one['leaves'] }}</small></a></li>
                        @endforeach
                        <li><a href="{{ $faults->unsureUrl($faults->next) }}"><strong>Can’t tell</strong><small>ask something
                            else</small></a></li>
                    </ul>
                    @if ($faults->roomsUrl($faults->next) !== null) <a class="btn btn-sm btn-ink" href="{{ $faults->roomsUrl($faults->next)
                        }}">Ask the simulated room</a> @endif
                @elseif ($faults->finder !== null)
                    <h3 id="fault-next">{{ $faults->standing() }}</h3>
                    <p>No single fault and no two together sound like this. Take back what is least certain, or look for what is not in the
                        plan at all.</p>
                @else
                    <h3 id="fault-next">Nothing to look for yet</h3>
                    <p class="quiet">Add what is wrong: “Game at Viewers is not heard”.</p>
                @endif
                @if ($faults->lostBetween() !== '') <p><strong>{{ $faults->lostBetween() }}</strong></p> @endif
                @if ($faults->followUrl() !== null && $faults->found() === null) <p><a href="{{ $faults->followUrl() }}">{{
                    $faults->isFollowing ? 'Ask what tells most' : 'Follow the signal: the meter in the middle of its way first' }}</a></p>
                    @endif
                @if ($suspected !== [])
                    <h3>{{ $faults->standing() }}</h3>
                    <ol class="fault-suspects">
                        @foreach ($suspected as $one)
                            <li><svg class="fault-share" viewBox="0 0 100 8" preserveAspectRatio="none" aria-hidden="true"><rect
                                class="all" width="100" height="8" /><rect width="{{ $one['share'] }}" height="8" /></svg><span
                                class="fault-per">{{ $one['share'] }} %</span> <a href="{{ $one['url'] }}">{{ $one['words']
                                }}@if ($one['isChanged']) <span class="tag">changed since</span> @endif</a></li>
                        @endforeach
                    </ol>
                    @if ($faults->further() > 0) <p class="quiet">And {{ $faults->further() }} more.</p> @endif
                @endif
                @if ($faults->tried() !== '') <p class="quiet">{{ $faults->tried() }}</p> @endif
            </section>
        </div>
    </div>
</x-rig-frame>

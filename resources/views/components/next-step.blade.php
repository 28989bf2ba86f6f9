@props(['page', 'rail'])
{{-- One line that says what comes next, with the control that does it. --}}
@php
    use HiddenWire\Core\Progress\NextKind;
    $next = $rail->next;
    $cure = $page->openCauses()[(int) $next->about]->cures[0] ?? null;
    $finding = $next->kind === NextKind::Fault ? $page->openFindings()[(int) $next->about] ?? null : null;
    $isLooking = $next->kind === NextKind::Looking
        && ! in_array($page->view, ['wishes', 'checks'], true)
        && count($page->rig->units) <= 150;
@endphp
<aside class="next-step" aria-label="Next step" x-data="nextStep" data-key="next"
    data-step="{{ md5("{$next->kind->value} {$next->about} {$next->sentence}") }}"
    x-bind:hidden="isAway" x-on:redrawn.document="look" x-on:arrived.document="look">
    <span class="next-word" aria-hidden="true">Next</span>
    <p><span class="visually-hidden">Next: </span>{{ $next->sentence }}</p>
    @if ($isLooking) <span class="visually-hidden" x-data="causes" data-key="causes-{{ $page->record->revision }}"
        data-causes="{{ route('rigs.causes', $page->record) }}"></span> @endif
    @switch ($next->kind)
        @case (NextKind::Cures)
            @if ($page->canEdit) <x-edit :page="$page" :fields="['edit' => 'cures']"><button type="submit"
                class="btn btn-sm btn-ink">Apply all {{ count(array_filter($page->openCauses(), fn ($one) => $one->cures !== []))
                }}</button></x-edit> @endif
            @if ($page->view !== 'wishes') <a href="{{ $rail->nextUrl }}">See them</a> @endif
            @break
        @case (NextKind::Cure)
            @if ($page->canEdit && $cure !== null) <x-edit :page="$page"
                :fields="['edit' => 'cure', 'cure' => ((int) $next->about + 1).'.1', 'sentence' => $cure->sentence]"><button type="submit"
                class="btn btn-sm btn-ink">Apply<span class="next-cure">: {{ $cure->sentence }}</span></button></x-edit> @endif
            <a href="{{ $page->url(['try' => ((int) $next->about + 1).'.1'], 'wishes') }}">Preview in table</a>
            @break
        @case (NextKind::Starts)
        @case (NextKind::Listens)
            @php $suggested = $page->canEdit ? $rail->suggested() : null; @endphp
            @if ($suggested !== null) <x-place-all :page="$page" :suggested="$suggested" />
            @elseif ($page->canEdit) <x-place-end :page="$page" :picker="$rail->picker()" /> @endif
            @if ($page->asked('ends') !== '1') <a href="{{ $rail->nextUrl }}">See all</a> @endif
            @break
        @case (NextKind::Fault)
            @if ($page->canEdit && ($finding->cures ?? []) !== []) <x-edit :page="$page" :fields="['edit' => 'cure',
                'cure' => 'f'.((int) $next->about + 1).'.1', 'sentence' => $finding->cures[0]->sentence]"><button type="submit"
                class="btn btn-sm btn-ink">Apply<span class="visually-hidden">: {{ $finding->cures[0]->sentence
                }}</span></button></x-edit> @endif
            <a href="{{ $rail->nextUrl }}">Go to the finding</a>
            @break
        @case (NextKind::Sounds)
        @case (NextKind::Wishes)
        @case (NextKind::Looking)
            @if ($page->view !== 'wishes') <a href="{{ $rail->nextUrl }}">Go to Wishes</a> @endif
            @break
        @case (NextKind::Equipment)
            @if ($page->view !== 'stock') <a href="{{ $rail->nextUrl }}">Go to Equipment</a> @endif
            @break
        @case (NextKind::Joins)
            @if ($page->view !== 'wiring') <a href="{{ $rail->nextUrl }}">Go to the map</a> @endif
            @break
        @case (NextKind::Uncured)
            @if ($page->view !== 'wishes') <a href="{{ $rail->nextUrl }}">See what would do it</a> @endif
            @break
        @case (NextKind::Assumptions)
            @if ($page->view !== 'doubts') <a href="{{ $rail->nextUrl }}">Go to Assumptions</a> @endif
            @break
        @case (NextKind::Ready)
            @if ($page->view !== 'book') <a href="{{ $rail->nextUrl }}">Go to the book</a> @endif
            @break
    @endswitch
    <button type="button" class="plain next-away" x-on:click="put" title="Put away" aria-label="Put the next step away"><i
        class="bi bi-x-lg" aria-hidden="true"></i></button>
</aside>

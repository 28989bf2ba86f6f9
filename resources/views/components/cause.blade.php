@props(['page', 'cause', 'number', 'cells' => true])
@php
    use HiddenWire\Core\Quantity\Count;
    $here = array_values(array_filter($cause->cells, fn ($cell) => $cell->situation === $page->situation->id));
    $shown = isset($here[0]) ? $page->hearing->pair($here[0]->source, $here[0]->listener) : null;
    $more = array_slice($cause->cures, 1, null, true);
    $nowhere = $page->canEdit ? App\ViewModels\PlacePicker::ofCause($page->rig, $cause) : null;
    $isChosen = str_starts_with((string) $page->preview?->number, "{$number}.");
@endphp
<p class="cause-says">@if ($shown !== null) <x-verdict :verdict="$shown->verdict" /> @endif{{ $cause->sentence }}</p>
@if ($cells)
    <details class="cause-cells" data-keep><summary>@if ($here !== []) <strong>{{ count($here) }}</strong> {{ count($here) === 1 ? 'cell'
        : 'cells' }} here, @endif{{ count($cause->cells) }} in all</summary>
        <ul>@foreach (array_slice($cause->cells, 0, 12) as $cell)
            <li><a href="{{ $page->url(['situation' => $cell->situation, 'pair' => "{$cell->source}:{$cell->listener}",
                'try' => null]) }}">{{ $page->rig->sources[$cell->source]->name }} at {{ $page->rig->listeners[$cell->listener]->name
                }}@if ($cell->situation !== $page->situation->id), {{ $page->rig->situations[$cell->situation]->name
                }}@endif</a></li>@endforeach
            @if (count($cause->cells) > 12) <li>and {{ count($cause->cells) - 12 }} more</li> @endif</ul>
    </details>
@endif
@if (isset($cause->cures[0])) <x-cure :page="$page" :cure="$cause->cures[0]" :number="$number.'.1'" /> @endif
@if ($nowhere !== null) <x-place-end :page="$page" :picker="$nowhere" /> @endif
@if ($cause->why !== null) <p class="cause-why">{{ $cause->why }}</p> @endif
<div class="cause-more">
    @if ($more !== [])
        <details class="other-cures" data-keep @if ($isChosen) open @endif>
            <summary>{{ Count::of(count($more), 'other cure') }}</summary>
            @foreach ($more as $which => $cure) <x-cure :page="$page" :cure="$cure" :number="$number.'.'.($which + 1)" /> @endforeach
        </details>
    @endif
    @if ($cause->notes !== [])
        <details data-keep><summary>Why</summary>
            @foreach ($cause->notes as $note) <p class="cause-why">{{ $note }}</p> @endforeach</details>
    @endif
    @if ($cells && $page->canEdit)
        <details class="accept" data-keep><summary>Accept as it is</summary>
            <x-edit :page="$page" class="row-form"
                :fields="['edit' => 'accept', 'evidence' => $cause->evidence(), 'situation' => '']"><input
                name="why" required maxlength="{{ Bounds::WHY }}" placeholder="why it may stay"
                aria-label="Why this may stay: {{ $cause->sentence }}"><button type="submit"
                class="do">Accept<span class="visually-hidden">: {{ $cause->sentence }}</span></button></x-edit>
        </details>
    @endif
</div>

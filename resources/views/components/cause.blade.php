@props(['page', 'cause', 'number', 'cells' => true])
<p class="cause-says">{{ $cause->sentence }}</p>
@if ($cells)
    <p class="cause-cells">
        @foreach (array_slice($cause->cells, 0, 3) as $cell)
            <a href="{{ $page->url(['situation' => $cell->situation, 'pair' => "{$cell->source}:{$cell->listener}",
                'try' => null]) }}">{{ $page->rig->sources[$cell->source]->name }} at {{ $page->rig->listeners[$cell->listener]->name
                }}@if ($cell->situation !== $page->situation->id), {{ $page->rig->situations[$cell->situation]->name
                }}@endif</a>@if (! $loop->last);@endif
        @endforeach
        @if (count($cause->cells) > 3) and {{ count($cause->cells) - 3 }} more @endif
    </p>
@endif
@foreach ($cause->cures as $which => $cure)
    @php $id = $number.'.'.($which + 1); @endphp
    <div class="cure @if ($page->preview?->number === $id) chosen @endif">
        <span class="cure-says">@if ($which > 0) <span class="quiet">or:</span> @endif{{ $cure->sentence }}</span>
        @if ($cure->keeps !== null) <span class="cure-keeps">{{ $cure->keeps }}</span> @endif
        @foreach ([...$cure->costs, ...$cure->brings] as $cost) <span class="cure-cost">{{ $cost }}</span> @endforeach
        <span class="cure-tools">
            @if ($page->canEdit)
                <x-edit :page="$page" :fields="['edit' => 'cure', 'cure' => $id, 'sentence' => $cure->sentence]"><button type="submit"
                    class="do">Do it<span class="visually-hidden">: {{ $cure->sentence }}</span></button></x-edit>
            @endif
            @if ($page->preview?->number === $id)
                <a href="{{ $page->url(['try' => null]) }}">End preview</a>
            @else
                <a href="{{ $page->url(['try' => $id], 'wishes') }}">Preview<span class="visually-hidden">
                    of: {{ $cure->sentence }}</span></a>
            @endif
        </span>
    </div>
@endforeach
@if ($cause->why !== null) <p class="cause-why">{{ $cause->why }}</p> @endif
@foreach ($cause->notes as $note) <p class="cause-why">{{ $note }}</p> @endforeach
@if ($cells && $page->canEdit)
    <details class="accept" data-keep><summary>Accept</summary>
        <x-edit :page="$page" class="row-form" :fields="['edit' => 'accept', 'evidence' => $cause->evidence(), 'situation' => '']"><input
            name="why" required maxlength="{{ Bounds::WHY }}" placeholder="why it may stay"
            aria-label="Why this may stay: {{ $cause->sentence }}"><button type="submit"
            class="do">Accept<span class="visually-hidden">: {{ $cause->sentence }}</span></button></x-edit>
    </details>
@endif

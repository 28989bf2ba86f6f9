@props(['page', 'cure', 'number'])
<div class="cure @if ($page->preview?->number === $number) chosen @endif">
    <span class="cure-says">{{ $cure->sentence }}</span>
    <div class="cure-tools">
        @if ($page->preview?->number === $number)
            <a href="{{ $page->url(['try' => null]) }}">End preview</a>
        @else
            <a href="{{ $page->url(['try' => $number], 'wishes') }}">Preview<span class="visually-hidden">
                in the table: {{ $cure->sentence }}</span></a>
        @endif
        @if ($page->canEdit)
            <x-edit :page="$page" :fields="['edit' => 'cure', 'cure' => $number, 'sentence' => $cure->sentence]"><button type="submit"
                class="do">Apply<span class="visually-hidden">: {{ $cure->sentence }}</span></button></x-edit>
        @endif
    </div>
    @if ($cure->keeps !== null) <span class="cure-keeps">{{ $cure->keeps }}</span> @endif
    @foreach ([...$cure->costs, ...$cure->brings] as $cost) <span class="cure-cost">{{ $cost }}</span> @endforeach
</div>

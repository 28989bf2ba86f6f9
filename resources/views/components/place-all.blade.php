@props(['page', 'likely'])
{{-- Where sounds and listeners that are nowhere likely are, to take all at once or to look at first. --}}
@php
    use App\ViewModels\Places;
    $starts = Places::starts($page->rig);
    $ears = Places::ears($page->rig);
    $count = count($likely['starts']) + count($likely['listens']);
@endphp
@if ($page->canEdit)
    <x-edit :page="$page" :fields="['edit' => 'place-all', 'situation' => '']">
        @foreach ($likely['starts'] as $source => $at) <input type="hidden" name="starts[{{ $source }}]" value="{{ $at }}"> @endforeach
        @foreach ($likely['listens'] as $listener => $at) <input type="hidden" name="listens[{{ $listener }}]"
            value="{{ $at }}"> @endforeach
        <button type="submit" class="btn btn-sm btn-ink">Set {{ $count }} as suggested</button>
    </x-edit>
    <details class="stock-more suggested" data-keep><summary>Suggested</summary>
        <ul class="plain-list">
            @foreach ($likely['starts'] as $source => $at) <li>{{ $page->rig->sources[$source]->name }} starts at
                {{ $starts[$at] }}</li> @endforeach
            @foreach ($likely['listens'] as $listener => $at) <li>{{ $page->rig->listeners[$listener]->name }} listens at
                {{ $ears[$at] }}</li> @endforeach
        </ul>
    </details>
@endif

@php use HiddenWire\Core\Quantity\Count; @endphp
<x-rig-frame :page="$page">
    <div class="page shopping">
        <h2>Shopping list</h2>
        @forelse ($shopping->tables as $table)
            <h3>{{ $table['title'] }}</h3>
            @if ($table['rows'] === [])
                <p class="quiet">Nothing to buy.</p>
            @else
                <x-plain-table :name="$table['title']" :columns="$table['columns']" :rows="$table['rows']" />
            @endif
            @if ($table['rest'] !== [])
                <details class="stock-more" data-keep><summary>{{ Count::of(count($table['rest']), 'kind') }} at hand</summary>
                    <x-plain-table :name="$table['title'].' at hand'" :columns="$table['columns']" :rows="$table['rest']" /></details>
            @endif
        @empty
            <p class="quiet">Nothing is to be bought, and nothing has a price yet. Say at a cable that it is to buy,
                or what a unit costs.</p>
        @endforelse
    </div>
</x-rig-frame>

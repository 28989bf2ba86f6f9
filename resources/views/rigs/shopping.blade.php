<x-rig-frame :page="$page">
    <div class="page shopping">
        <h2>Shopping list</h2>
        @forelse ($shopping->tables as ['title' => $title, 'table' => $table])
            <h3>{{ $title }}</h3>
            <div class="matrix-scroll" tabindex="0" role="region" aria-label="{{ $title }}">
                <table class="facts shopping-table">
                    <thead><tr>@foreach ($table->columns as $name) <th scope="col">{{ $name }}</th> @endforeach</tr></thead>
                    <tbody>@foreach ($table->rows as $row) <tr>@foreach ($row as $cell) <td>{{ $cell }}</td> @endforeach</tr>
                        @endforeach</tbody>
                </table>
            </div>
        @empty
            <p class="quiet">Nothing is to be bought, and nothing has a price yet. Say at a cable that it is to buy,
                or what a unit costs.</p>
        @endforelse
    </div>
</x-rig-frame>

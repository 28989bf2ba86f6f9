@php
    use HiddenWire\Core\Edit\RemoveUnit;
    use HiddenWire\Core\Rig\PlaceKind;
@endphp
<x-rig-frame :page="$page">
    <div class="stock">
        <section class="stock-places" aria-label="Units by place">
            @forelse ($page->rig->places as $place)
                <article class="stock-place">
                    <h2>{{ $place->name }} <small>{{ $place->kind->value }}</small></h2>
                    <ul>
                        @foreach ($page->rig->units as $unit)
                            @if ($unit->place === $place->id)
                                @php $goes = (new RemoveUnit($unit->id))->goesWithIt($page->rig); @endphp
                                <li>
                                    <a href="{{ $page->url(['select' => "unit:{$unit->id}"], 'wiring') }}"><strong>{{ $unit->name }}</strong> <small>{{ $page->rig->modelOf($unit)->name }}</small></a>
                                    <form method="post" action="{{ route('rigs.edit', $page->record->id) }}" @if ($goes !== []) title="With it go {{ implode(', ', $goes) }}; undo brings all back" @endif>
                                        @csrf
                                        <input type="hidden" name="revision" value="{{ $page->record->revision }}"><input type="hidden" name="edit" value="remove-unit"><input type="hidden" name="unit" value="{{ $unit->id }}">
                                        <button class="plain" type="submit" aria-label="Remove {{ $unit->name }}{{ $goes === [] ? '' : ', and with it '.implode(', ', $goes) }}"><i class="bi bi-trash3" aria-hidden="true"></i></button>
                                    </form>
                                </li>
                            @endif
                        @endforeach
                    </ul>
                </article>
            @empty
                <p class="quiet">There is no place yet. Begin with where things are: a desk, a computer, a console.</p>
            @endforelse
        </section>
        <aside class="stock-add" aria-label="Add">
            <h2>New place</h2>
            <x-edit :page="$page" :fields="['edit' => 'place', 'situation' => '']">
                <label>Name <input class="form-control" name="name" maxlength="60" required></label>
                <label>Kind <select class="form-select" name="kind">@foreach (PlaceKind::cases() as $kind) <option value="{{ $kind->value }}">{{ $kind->value }}</option> @endforeach</select></label>
                <button class="btn btn-sm btn-ink" type="submit">Add the place</button>
            </x-edit>
            @if ($page->rig->places !== [])
                <h2>New unit</h2>
                <x-edit :page="$page" :fields="['edit' => 'add-unit', 'situation' => '']">
                    <label>Model <input class="form-control" name="model" list="models" required placeholder="type to search the catalogue" autocomplete="off"></label>
                    <datalist id="models">@foreach ($models as $id => $model) <option value="{{ $id }}">{{ $model->name }}</option> @endforeach</datalist>
                    <label>Place <select class="form-select" name="place">@foreach ($page->rig->places as $place) <option value="{{ $place->id }}">{{ $place->name }}</option> @endforeach</select></label>
                    <label>Name <input class="form-control" name="name" maxlength="60" required></label>
                    <button class="btn btn-sm btn-ink" type="submit">Add the unit</button>
                </x-edit>
                <p class="quiet"><a href="{{ route('catalogue') }}">Look through the catalogue</a>, with every model drawn.</p>
            @endif
        </aside>
    </div>
</x-rig-frame>

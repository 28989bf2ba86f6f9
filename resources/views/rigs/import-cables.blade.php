@php use HiddenWire\Core\Import\CableMapping; @endphp
<x-rig-frame :page="$page">
    <div class="page">
        <h2>Import cables from a CSV file</h2>
        <p class="quiet">One row a cable; the first line names the columns. Units and sockets go by their names.
            A row whose label is in the rig changes that cable; others are plugged anew.</p>
        <form class="row-form" method="post" enctype="multipart/form-data"
            action="{{ route('rigs.import-cables.read', $page->record->id) }}">
            @csrf
            <label>CSV file <input class="form-control" type="file" name="file" accept=".csv,text/csv,text/plain" required></label>
            <button class="do" type="submit">Read</button>
        </form>
        @if ($import->trouble !== '') <p class="form-trouble" role="alert">{{ $import->trouble }}</p> @endif
        @if ($import->table !== null)
            <h3>Which column is what</h3>
            <form class="mapping" method="post" action="{{ route('rigs.import-cables.read', $page->record->id) }}">
                @csrf
                <textarea name="csv" hidden>{{ $import->csv }}</textarea>
                @foreach (CableMapping::FIELDS as $field => [$name])
                    <label>{{ $name }} <select name="columns[{{ $field }}]"><option value="">{{ in_array($field, CableMapping::NEEDED, true)
                        ? 'choose …' : 'none' }}</option>@foreach ($import->table->columns as $i => $column)
                        <option value="{{ $i }}" @selected(($import->mapping->columns[$field] ?? null) === $i)>{{ $column === ''
                        ? 'column '.($i + 1) : $column }}</option> @endforeach</select></label>
                @endforeach
                <button class="do" type="submit">Preview</button>
            </form>
        @endif
        @if ($import->plan !== null)
            <x-planned-rows :plan="$import->plan"/>
            @if ($import->makes() > 0)
                <x-edit :page="$page" class="form-foot" :fields="['edit' => 'import-cables', 'situation' => '']"
                    :data-then="route('rigs.cables', $page->record->id)">
                    <textarea name="csv" hidden>{{ $import->csv }}</textarea>
                    @foreach ($import->mapping->columns as $field => $column)
                        <input type="hidden" name="columns[{{ $field }}]" value="{{ $column }}"> @endforeach
                    <button class="btn btn-sm btn-ink" type="submit">Make what can be made</button>
                </x-edit>
            @endif
        @endif
    </div>
</x-rig-frame>

@php
    use HiddenWire\Core\Equipment\CableType;
    $rows = $table->rows();
@endphp
<x-rig-frame :page="$page">
    <div class="page cables-page">
        <div class="recipes-head">
            <h2>Cable table</h2>
            <x-edit :page="$page" :fields="['edit' => 'renumber', 'situation' => '']"><button class="do" type="submit">Renumber all cables</button></x-edit>
        </div>
        <p class="quiet">Write in it, or paste rows from a spreadsheet: label, from, to, type, length in metres, colour, owned (1 or 0). The empty rows at the end take new cables. All rows are changed in one step, or none.</p>
        <x-edit :page="$page" class="cable-form" :fields="['edit' => 'cables', 'situation' => '']">
            <div class="matrix-scroll" tabindex="0" role="region" aria-label="Cables">
                <table class="rows cable-rows" x-data="table" x-on:paste="paste">
                    <thead><tr><th scope="col">Label</th><th scope="col">From</th><th scope="col">To</th><th scope="col">Type</th><th scope="col">m</th><th scope="col">Colour</th><th scope="col">Owned</th></tr></thead>
                    <tbody>
                        @foreach ($rows as $i => $row)
                            @php $name = $row['cable'] === '' ? 'new row '.($i + 1) : $row['label']; @endphp
                            <tr>
                                <td><input type="hidden" name="cables[{{ $i }}][cable]" value="{{ $row['cable'] }}"><input class="figures" name="cables[{{ $i }}][label]" maxlength="{{ Bounds::LABEL }}" value="{{ $row['label'] }}" aria-label="Label of {{ $name }}" size="6"></td>
                                <td><input name="cables[{{ $i }}][from]" value="{{ $row['from'] }}" list="sockets" aria-label="From of {{ $name }}"></td>
                                <td><input name="cables[{{ $i }}][to]" value="{{ $row['to'] }}" list="sockets" aria-label="To of {{ $name }}"></td>
                                <td><select name="cables[{{ $i }}][type]" aria-label="Type of {{ $name }}">@if ($row['type'] === '') <option value="">what fits</option> @endif @foreach (CableType::cases() as $type) <option @selected($type->value === $row['type'])>{{ $type->value }}</option> @endforeach</select></td>
                                <td><input class="figures" name="cables[{{ $i }}][length]" value="{{ $row['length'] }}" inputmode="decimal" aria-label="Length of {{ $name }}, metres" size="4"></td>
                                <td><input name="cables[{{ $i }}][colour]" maxlength="{{ Bounds::COLOUR }}" value="{{ $row['colour'] }}" aria-label="Colour of {{ $name }}" size="8"></td>
                                <td><input type="hidden" name="cables[{{ $i }}][owned]" value="0"><input type="checkbox" name="cables[{{ $i }}][owned]" value="1" @checked($row['owned']) aria-label="{{ $name }} is owned"></td>
                            </tr>
                        @endforeach
                    </tbody>
                </table>
            </div>
            <datalist id="sockets">@foreach ($table->sockets() as $name) <option value="{{ $name }}"></option> @endforeach</datalist>
            <div class="form-foot"><button class="btn btn-sm btn-ink" type="submit">Save the cables</button></div>
        </x-edit>
    </div>
</x-rig-frame>

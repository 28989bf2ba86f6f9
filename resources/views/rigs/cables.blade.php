@php
    use App\Http\Edits\CableForms;
    use HiddenWire\Core\Equipment\CableType;
    use HiddenWire\Core\Quantity\Lengths;
    $rows = $table->rows();
@endphp
<x-rig-frame :page="$page">
    <div class="page cables-page">
        <div class="recipes-head">
            <h2>Cable table</h2>
            <x-edit :page="$page" :fields="['edit' => 'renumber', 'situation' => '']"><button class="do"
                type="submit">Renumber all cables</button></x-edit>
            @if ($page->canEdit) <a href="{{ $page->url([], 'import-cables') }}">Import a CSV file</a> @endif
            <a href="{{ route('rigs.export', [$page->record->id, 'cables-csv']) }}" download>Cable schedule as CSV</a>
        </div>
        <p class="quiet">Write in it, or paste rows from a spreadsheet: label, from, to, type, length, colour, owned (1 or 0).
            Empty rows take new cables. All rows are saved in one step, or none.</p>
        @if ($table->pages() !== [])
            <nav class="units-nav" aria-label="Cables">@foreach ($table->pages() as $one)
                <a href="{{ $page->url(['page' => (string) $one['page']]) }}" data-leaves @if ($one['isHere']) aria-current="true"
                @endif>{{ $one['words'] }}</a> @endforeach</nav>
        @endif
        <x-edit :page="$page" class="cable-form" data-save x-data="table" x-on:redrawn.document="again"
            :fields="['edit' => 'cables', 'situation' => '']">
            <div class="matrix-scroll" tabindex="0" role="region" aria-label="Cables">
                <table class="rows cable-rows" x-ref="table" x-on:paste="paste" x-on:focusin="stand">
                    <thead><tr>@foreach (['Label', 'From', 'To', 'Type', $table->lengths->unit(), 'Colour', 'Owned'] as $column)
                        <th scope="col"><button type="button" class="column" x-on:click="sort">{{ $column }}</button></th> @endforeach
                        <th scope="col">Remove</th></tr></thead>
                    <tbody x-ignore>
                        @foreach ($rows as $i => $row)
                            @php $name = $row['cable'] === '' ? 'new row '.($i % CableForms::NEW_ROWS) : $row['label']; @endphp
                            <tr @if ($row['cable'] === '') class="new" @endif
                                data-key="cable-{{ $row['cable'] === '' ? $i : $row['cable'] }}">
                                <td><input type="hidden" name="cables[{{ $i }}][cable]" value="{{ $row['cable'] }}"><input class="figures"
                                    name="cables[{{ $i }}][label]" maxlength="{{ Bounds::LABEL }}" value="{{ $row['label'] }}"
                                    aria-label="Label of {{ $name }}" size="6"></td>
                                <td><input name="cables[{{ $i }}][from]" value="{{ $row['from'] }}" list="sockets"
                                    aria-label="From of {{ $name }}"></td>
                                <td><input name="cables[{{ $i }}][to]" value="{{ $row['to'] }}" list="sockets"
                                    aria-label="To of {{ $name }}"></td>
                                <td><select name="cables[{{ $i }}][type]" aria-label="Type of {{ $name }}">@if ($row['type'] === '')
                                    <option value="">what fits</option> @endif @foreach (CableType::cases() as $type)
                                    <option value="{{ $type->value }}" @selected($type->value === $row['type'])>{{
                                    $type->words() }}</option> @endforeach</select></td>
                                <td><input class="figures" name="cables[{{ $i }}][length]" value="{{ $row['length'] }}" @if ($table->lengths
                                    === Lengths::Metric) inputmode="decimal" @endif
                                    aria-label="Length of {{ $name }}, {{ $table->lengths->name() }}" size="{{
                                    $table->lengths === Lengths::Metric ? 4 : 9 }}"></td>
                                <td><input name="cables[{{ $i }}][colour]" maxlength="{{ Bounds::COLOUR }}" value="{{ $row['colour'] }}"
                                    aria-label="Colour of {{ $name }}" size="8"></td>
                                <td><input type="hidden" name="cables[{{ $i }}][owned]" value="0"><input type="checkbox"
                                    name="cables[{{ $i }}][owned]" value="1" @checked($row['owned']) aria-label="{{ $name }} is owned"></td>
                                <td>@if ($row['cable'] !== '') <input type="checkbox" name="cables[{{ $i }}][out]" value="1"
                                    aria-label="Remove {{ $name }}"> @endif</td>
                            </tr>
                        @endforeach
                    </tbody>
                </table>
            </div>
            <datalist id="sockets">@foreach ($table->sockets() as $name) <option value="{{ $name }}"></option> @endforeach</datalist>
            <div class="form-foot"><button class="btn btn-sm btn-ink" type="submit">Save the cables</button>
                <button class="do with-scripts" type="button" x-on:click="insert">Insert a row</button></div>
        </x-edit>
    </div>
</x-rig-frame>

@props(['page', 'unit', 'folded' => false])
{{-- The settings of a unit that are no level and no route, with where they are made and how long they hold. --}}
@php $named = $page->namedSettings($unit); @endphp
@if ($named->rows !== [])
    @if ($folded) <details class="stock-more" data-keep><summary>{{ $named->summary }}</summary> @else <h3>Named settings</h3> @endif
    <table class="facts named-settings"><tbody>
        @foreach ($named->rows as $row)
            @php $setting = $row['setting']; @endphp
            <tr>
                <th scope="row">{{ $setting->label }}<small>{{ $row['place'] }}</small></th>
                <td><x-edit :page="$page" class="set plug" :fields="['edit' => 'value', 'unit' => $unit->id, 'setting' => $setting->id]">
                    @if ($row['choices'] !== [])
                        <select name="value" data-auto
                            aria-label="{{ $setting->label }}"><option value="">{{ $row['otherwise'] }}</option>@foreach ($row['choices']
                            as $value => $words) <option value="{{ $value }}" @selected($row['set'] === (string) $value)>{{ $words
                            }}</option> @endforeach</select>
                    @else
                        <input name="value" data-auto value="{{ $row['set'] }}" placeholder="{{ $row['otherwise'] }}"
                            aria-label="{{ $setting->label }}{{ $setting->unit === '' ? '' : ", {$setting->unit}" }}"><span class="unit"
                            aria-hidden="true">{{ $setting->unit }}</span>
                    @endif
                    <button type="submit" class="do without-scripts">Set<span class="visually-hidden"> {{ $setting->label }}</span></button>
                </x-edit>@if ($row['says'] !== '') <small class="quiet">{{ $row['says'] }}</small>@endif @foreach ($row['breaks'] as $line)
                    <small class="quiet">Would break at {{ $line }}</small>@endforeach</td>
            </tr>
        @endforeach
    </tbody></table>
    @if ($folded) </details> @endif
@endif

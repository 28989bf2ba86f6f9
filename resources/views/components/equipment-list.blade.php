@props(['page', 'list'])
{{-- What each line of a list of equipment was taken for, to correct before it is added. --}}
@php use HiddenWire\Core\Quantity\Count; @endphp
<section class="list-read" aria-labelledby="list-title">
    <h2 id="list-title">{{ Count::of(count($list->lines), 'line') }} read <small>correct what was taken for something else,
        then add all</small></h2>
    <x-edit :page="$page" :data-then="$page->url(['select' => null])" :fields="['edit' => 'add-list', 'situation' => '']">
        <table class="rows list-rows">
            <thead><tr><th scope="col">Line</th><th scope="col">Model</th><th scope="col">Count</th><th scope="col">Name</th><th
                scope="col">Place</th></tr></thead>
            <tbody>@foreach ($list->lines as $i => $line)
                @php $name = 'line '.($i + 1).": {$line['text']}"; @endphp
                <tr @class(['is-unknown' => $line['model'] === ''])><th scope="row">{{ $line['text'] }}</th>
                    <td><select name="lines[{{ $i }}][model]" aria-label="Model for {{ $name }}">
                        @if ($line['model'] === '') <option value="">nothing answers to that</option> @endif
                        @foreach ($line['near'] as $id => $model) <option value="{{ $id }}" @selected($id === $line['model'])>{{ $model
                            }}</option> @endforeach
                        @if ($line['model'] !== '') <option value="">leave it out</option> @endif</select></td>
                    <td><input class="figures" type="number" name="lines[{{ $i }}][count]" min="1" max="{{ $list::COUNT }}"
                        value="{{ $line['count'] }}" aria-label="How many of {{ $name }}"></td>
                    <td><input name="lines[{{ $i }}][name]" maxlength="{{ Bounds::NAME }}" value="{{ $line['name'] }}"
                        placeholder="same as the model" aria-label="Name for {{ $name }}"></td>
                    <td><select name="lines[{{ $i }}][place]" aria-label="Place for {{ $name }}">@foreach ($list->places as $id =>
                        $place) <option value="{{ $id }}" @selected((string) $id === $line['place'])>{{ $place }}</option>
                        @endforeach</select></td></tr>
            @endforeach</tbody>
        </table>
        <button class="btn btn-sm btn-ink" type="submit">Add all</button>
        <a href="{{ $page->url() }}">Don't add them</a>
    </x-edit>
</section>

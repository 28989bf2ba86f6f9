@props(['name', 'columns', 'rows'])
{{-- A table of text. --}}
<div class="matrix-scroll" tabindex="0" role="region" aria-label="{{ $name }}">
    <table class="facts shopping-table">
        <thead><tr>@foreach ($columns as $column) <th scope="col">{{ $column }}</th> @endforeach</tr></thead>
        <tbody>@foreach ($rows as $row) <tr>@foreach ($row as $cell) <td>{{ $cell }}</td> @endforeach</tr> @endforeach</tbody>
    </table>
</div>

@props(['page', 'suggested'])
{{-- Where sounds and listeners that are nowhere likely are, to take all at once or to look at first. --}}
<x-edit :page="$page" :fields="['edit' => 'place-all', 'situation' => '']">
    @foreach ($suggested->fields as $name => $at) <input type="hidden" name="{{ $name }}" value="{{ $at }}"> @endforeach
    <button type="submit" class="btn btn-sm btn-ink">Set {{ count($suggested->lines) }} as suggested</button>
</x-edit>
<details class="stock-more suggested" data-keep><summary>Suggested</summary>
    <ul class="plain-list">@foreach ($suggested->lines as $line) <li>{{ $line }}</li> @endforeach</ul>
</details>

@props(['page', 'fields'])
{{-- A change as a form: where it holds, and what the page was made from, go with it. --}}
<form method="post" action="{{ route('rigs.edit', $page->record->id) }}" {{ $attributes->only('class') }}>
    @csrf
    <input type="hidden" name="revision" value="{{ $page->record->revision }}">
    @if (! array_key_exists('situation', $fields)) <input type="hidden" name="situation" value="{{ $page->situation->id }}"> @endif
    @foreach ($fields as $name => $value) <input type="hidden" name="{{ $name }}" value="{{ $value }}"> @endforeach
    {{ $slot }}
</form>

@props(['page', 'fields', 'key' => null])
{{-- A change as a form: where it holds, and what the page was made from, go with it. Whoever may only look sees it, but can't use it. --}}
@if ($page->canEdit)
<form method="post" action="{{ $page->editUrl() }}" data-send data-key="{{ $key ?? $page->formKey($fields) }}" {{ $attributes }}>
    @csrf
    <input type="hidden" name="revision" value="{{ $page->record->revision }}">
    <input type="hidden" name="at_revision" value="{{ $page->record->at }}">
    @if (! array_key_exists('situation', $fields)) <input type="hidden" name="situation" value="{{ $page->situation->id }}"> @endif
    @foreach ($fields as $name => $value) @continue($name === 'situation' && $value === '')
        <input type="hidden" name="{{ $name }}" value="{{ $value }}"> @endforeach
    {{ $slot }}
</form>
@else
<fieldset disabled {{ $attributes->only('class')->merge(['class' => 'looking']) }}>{{ $slot }}</fieldset>
@endif

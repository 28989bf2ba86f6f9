@props(['page', 'fields', 'key' => null])
{{-- A change as a form: in one field what it is, where it holds, and what the page was made from. Whoever may only look sees it, but can't
    use it. --}}
@if ($page->canEdit)
<form method="post" action="{{ $page->editUrl() }}" data-send @if ($key !== null) data-key="{{ $key }}" @endif
    {{ $attributes }}>
    @csrf
    <input type="hidden" name="_change" value="{{ $page->change($fields) }}">
    {{ $slot }}
</form>
@else
<fieldset disabled {{ $attributes->only('class')->merge(['class' => 'looking']) }}>{{ $slot }}</fieldset>
@endif

@props(['page', 'picker'])
{{-- The places where a sound can begin, or where somebody can listen. --}}
@if ($picker->places !== [])
    <x-edit :page="$page" class="row-form" :fields="$picker->fields()"><label>{{ $picker->name }} {{ $picker->verb() }} at
        <select name="at" required>@if (count($picker->places) > 1) <option value="">choose …</option> @endif
        @foreach ($picker->places as $ref => $place) <option value="{{ $ref }}">{{ $place }}</option>
        @endforeach</select></label><button class="btn btn-sm btn-ink" type="submit">Set<span class="visually-hidden">
        where {{ $picker->name }} {{ $picker->verb() }}</span></button></x-edit>
@endif
@if ($picker->lacksService)
    <x-edit :page="$page" :fields="$picker->serviceFields()"><button class="btn btn-sm btn-ink"
        type="submit">Add a call service for {{ $picker->name }}</button></x-edit>
@endif

@props(['page', 'controls', 'control'])
{{-- The forms of the chosen control: what it is, what else it moves, and its removal. --}}
<x-edit :page="$page" class="hand-form" :fields="['edit' => 'control', 'control' => $control->id]">
    <x-control-fields :page="$page" :control="$control" /><button class="btn btn-sm btn-ink" type="submit">Save</button></x-edit>
<form class="hand-form" method="get" action="{{ $page->url([]) }}">
    <input type="hidden" name="control" value="{{ $control->id }}">
    <input type="hidden" name="situation" value="{{ $page->situation->id }}">
    <label>Settings of <select class="form-select form-select-sm" name="of">@foreach ($controls->units() as $unit)
        <option value="{{ $unit->id }}" @selected($unit === $controls->offered())>{{ $unit->name }}</option> @endforeach</select></label>
    <button class="do" type="submit">Show</button></form>
<x-edit :page="$page" class="hand-form" :fields="['edit' => 'control-move', 'control' => $control->id]">
    <label>It moves <select class="form-select form-select-sm" name="what">@foreach ($controls->movable() as $slot => $words)
        <option value="{{ $slot }}">{{ $words }}</option> @endforeach</select></label>
    <label>from <input class="form-control form-control-sm" name="from" maxlength="{{ Bounds::NAME }}" size="6"
        placeholder="lowest"></label>
    <label>to <input class="form-control form-control-sm" name="to" maxlength="{{ Bounds::NAME }}" size="6"
        placeholder="highest"></label>
    <label>how <select class="form-select form-select-sm" name="law"><option value="">as usual</option>
        @foreach (HiddenWire\Core\Equipment\Law::cases() as $law) <option value="{{ $law->value }}">{{ $law->words() }}</option>
        @endforeach</select></label>
    <label>when <select class="form-select form-select-sm" name="by"><option value="">{{ $control->kind->isTurned() ? 'moved' : 'pressed'
        }}</option>@foreach (HiddenWire\Core\Equipment\Gesture::cases() as $by) <option value="{{ $by->value }}">{{ $by->words() }}</option>
        @endforeach</select></label>
    <label>while held <select class="form-select form-select-sm" name="with"><option value="">nothing</option>
        @foreach ($controls->others($control) as $other) <option value="{{ $other->id }}">{{ $other->name }}</option>
        @endforeach</select></label>
    <button class="btn btn-sm btn-ink" type="submit">Add</button></x-edit>
@if ($controls->isOwn($control)) <x-edit :page="$page" :fields="['edit' => 'remove-control', 'control' => $control->id]"><button class="do"
    type="submit">Remove {{ $control->name }}</button></x-edit> @else <p class="quiet">Its model comes with it. What you save here holds
    for this unit alone.</p> @endif

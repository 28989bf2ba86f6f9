@props(['page', 'control' => null])
{{-- What a control is called, what its label says, and where it is. --}}
<label>Name <input class="form-control form-control-sm" name="name" required maxlength="{{ HiddenWire\Core\Quantity\Bounds::SHORT_NAME }}"
    value="{{ $control?->name }}"></label>
<label>Kind <select class="form-select form-select-sm" name="kind">@foreach (HiddenWire\Core\Equipment\ControlKind::cases() as $kind)
    <option value="{{ $kind->value }}" @selected($control?->kind === $kind)>{{ $kind->words() }}</option> @endforeach</select></label>
<label>Its label says <input class="form-control form-control-sm" name="legend" value="{{ $control?->legend }}"
    maxlength="{{ HiddenWire\Core\Quantity\Bounds::SHORT_NAME }}"></label>
<label>Where <select class="form-select form-select-sm" name="at">
    <optgroup label="At a place">@foreach ($page->rig->places as $place) <option value="places/{{ $place->id }}"
        @selected((string) $control?->at === "places/{$place->id}")>{{ $place->name }}</option> @endforeach</optgroup>
    <optgroup label="On a unit">@foreach ($page->rig->units as $unit) <option value="units/{{ $unit->id }}"
        @selected((string) $control?->at === "units/{$unit->id}")>{{ $unit->name }}</option> @endforeach</optgroup></select></label>
<label>Page or bank <input class="form-control form-control-sm" name="bank" value="{{ $control?->bank }}"
    maxlength="{{ HiddenWire\Core\Quantity\Bounds::SHORT_NAME }}"></label>
@if ($control === null || $control->kind->isTurned()) <label>Stands at, % <input class="form-control form-control-sm" type="number"
    name="position" min="0" max="100" step="any" value="{{ $control?->position }}"></label> @endif
<label class="tick"><input type="hidden" name="learned" value="0"><input type="checkbox" name="learned" value="1"
    @checked($control?->isLearned)> seen on the real one</label>
<label class="tick"><input type="hidden" name="assigned" value="0"><input type="checkbox" name="assigned" value="1"
    @checked($control?->isAssigned)> assigned to one thing at a time</label>

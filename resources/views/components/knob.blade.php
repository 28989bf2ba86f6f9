@props(['page', 'control', 'knob'])
{{-- A knob or fader: its level, and the mark printed at its position. --}}
@php $at = ['unit' => $control->unit, 'point' => $control->point->id]; @endphp
<x-number :page="$page" :fields="['edit' => 'point', ...$at]" :name="$knob->field"
    label="{{ ucfirst($knob->name) }} of {{ $control->point->label }}" :value="$knob->value" :from="$knob->scale->from"
    :to="$knob->scale->to" :unit="$knob->scale->unit" :step="$knob->scale->step" />@if ($knob->own !== null)
    <small class="dial-word">dial</small> <x-number :page="$page" :fields="['edit' => 'printed', ...$at, 'control' => $knob->field]"
    name="mark" label="{{ ucfirst($knob->name) }} of {{ $control->point->label }} as printed" :value="$knob->mark()"
    :from="$knob->marks()[0]" :to="$knob->marks()[1]" :unit="$knob->own->unit" step="0.1" class="printed" />@endif

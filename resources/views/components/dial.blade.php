@props(['page', 'control'])
{{-- What can be set on a point, by the register of controls. --}}
@php
    $at = ['edit' => 'point', 'unit' => $control->unit, 'point' => $control->point->id];
    $label = $control->point->label;
@endphp
<div class="control">
    @foreach ($control->parts as $part)
        @if ($part instanceof \App\ViewModels\Knob)
            <div class="knob">{{ $part->name }} <x-number :page="$page" :fields="$at" :name="$part->field"
                label="{{ ucfirst($part->name) }} of {{ $label }}" :value="$part->value" :from="$part->scale->from" :to="$part->scale->to"
                :unit="$part->scale->unit" :step="$part->scale->step" />@if ($part->own !== null)
                <small class="dial-word">dial</small> <x-number :page="$page"
                :fields="['edit' => 'printed', 'unit' => $control->unit, 'point' => $control->point->id, 'control' => $part->field]"
                name="mark" label="{{ ucfirst($part->name) }} of {{ $label }} as printed" :value="$part->mark()"
                :from="$part->marks()[0]" :to="$part->marks()[1]" :unit="$part->own->unit" step="0.1" class="printed" />@endif</div>
        @else
            <x-edit :page="$page" :fields="[...$at, $part->field => $part->isOn ? '0' : '1']"><button type="submit"
                class="do @if ($part->isMarked) is-set @endif">{{ $part->does }}<span class="visually-hidden">
                {{ $label }}</span></button></x-edit>
        @endif
    @endforeach
    @if ($control->keptMuteBy !== null) <span class="quiet">muted while {{ $control->keptMuteBy }} is on</span> @elseif ($control->isMuted)
        <span class="says-muted">muted</span> @endif
    @if ($control->life !== '') <small class="quiet">{{ $control->life }}</small> @endif
</div>

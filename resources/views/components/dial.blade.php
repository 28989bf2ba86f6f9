@props(['page', 'control', 'but' => []])
{{-- What can be set on a point, by the register of controls. --}}
@php
    $at = ['edit' => 'point', 'unit' => $control->unit, 'point' => $control->point->id];
    $label = $control->point->label;
@endphp
<div class="control">
    @foreach ($control->partsBut($but) as $part)
        @if ($part instanceof \App\ViewModels\Knob)
            <div class="knob">{{ $part->name }} <x-knob :page="$page" :control="$control" :knob="$part" /></div>
        @else
            <x-edit :page="$page" :fields="[...$at, $part->field => $part->isOn ? '0' : '1']"><button type="submit"
                class="do @if ($part->isMarked) is-set @endif">{{ $part->does }}<span class="visually-hidden">
                {{ $label }}</span></button></x-edit>
        @endif
    @endforeach
    @if ($control->keptMuteBy !== null) <span class="quiet">muted while {{ $control->keptMuteBy }} is on</span> @elseif ($control->isMuted)
        <span class="says-muted">muted</span> @endif
    @if ($control->hands !== '') <small class="quiet">by {{ $control->hands }}</small> @endif
    @if ($control->life !== '') <small class="quiet">{{ $control->life }}</small> @endif
</div>

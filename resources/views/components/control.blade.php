@props(['page', 'control'])
{{-- What can be set on a point: gain, fader, mute, mono, delay. --}}
@php
    $at = ['edit' => 'point', 'unit' => $control->unit, 'point' => $control->point->id];
    $label = $control->point->label;
@endphp
<span class="control">
    @if ($control->gain !== null) <span class="knob">gain <x-number :page="$page" :fields="$at" name="gain" label="Gain of {{ $label }}" :value="$control->gain['db']" :from="$control->gain['from']" :to="$control->gain['to']" /></span> @endif
    @if ($control->fader !== null) <span class="knob">fader <x-number :page="$page" :fields="$at" name="fader" label="Fader of {{ $label }}" :value="$control->fader['db']" :from="$control->fader['from']" :to="$control->fader['to']" /></span> @endif
    @if ($control->delay !== null) <span class="knob">held back <x-number :page="$page" :fields="$at" name="delay" label="Delay of {{ $label }}" :value="$control->delay['ms']" :from="0" :to="$control->delay['to']" unit="ms" step="1" /></span> @endif
    @if ($control->mute !== null) <x-edit :page="$page" :fields="[...$at, 'mute' => $control->mute ? '0' : '1']"><button type="submit" class="do @if ($control->mute) is-set @endif">{{ $control->mute ? 'Open' : 'Mute' }}<span class="visually-hidden"> {{ $label }}</span></button></x-edit> @endif
    @if ($control->mono !== null) <x-edit :page="$page" :fields="[...$at, 'mono' => $control->mono ? '0' : '1']"><button type="submit" class="do @if ($control->mono) is-set @endif">{{ $control->mono ? 'Stereo' : 'Mono' }}<span class="visually-hidden"> {{ $label }}</span></button></x-edit> @endif
    @if ($control->keptMuteBy !== null) <span class="quiet">kept mute while {{ $control->keptMuteBy }} is open</span> @elseif ($control->mute === true) <span class="says-muted">muted</span> @endif
</span>

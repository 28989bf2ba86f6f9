@props(['page', 'fields', 'name', 'label', 'value', 'from' => null, 'to' => null, 'unit' => 'dB', 'step' => '0.5'])
{{-- One number that is set by typing it and leaving the field. --}}
<x-edit :page="$page" :title="$label" :class="trim('number '.$attributes->get('class'))"
    :fields="$fields"><label><span class="visually-hidden">{{ $label }}{{ $unit === '' ? '' : ", {$unit}" }}</span><input type="number"
    name="{{ $name }}" step="{{ $step }}" @if ($from !== null) min="{{ $from }}" max="{{ $to }}" @endif value="{{ $value }}"
    data-auto></label><span class="unit" aria-hidden="true">{{ $unit }}</span></x-edit>

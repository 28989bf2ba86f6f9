@props(['page', 'recipes', 'controls'])
{{-- What comes in, in two columns: its sounds, its gain as a dial, its fader as a lying rule, and what else is set there. --}}
@php $shown = $recipes::knobsOf($controls); @endphp
<div class="strips-in">
    @foreach ($recipes::columns($controls) as $column)
        @if ($column !== [])
            <ul @class(['of-one' => count($shown) === 1, 'of-none' => $shown === []])>
                @if ($shown !== []) <li class="strips-head" aria-hidden="true"><span></span>@foreach ($shown as $field)
                    <span>{{ $field }}</span> @endforeach</li> @endif
                @foreach ($column as $control)
                    @php $sounds = $recipes->soundsAt($control->point); @endphp
                    <li class="strip-in">
                        <span class="strip-name"><strong>{{ $sounds->name }}</strong>@if ($sounds->also !== '')
                            <small>{{ $sounds->also }}</small> @endif</span>
                        @foreach ($shown as $field)
                            @php $knob = $control->knob($field); @endphp
                            <div class="knob">@if ($knob !== null)<span class="knob-word" aria-hidden="true">{{ $field }}</span>
                                @if ($field === 'gain') <svg class="knob-drawing" viewBox="-13 -13 26 26" width="26" height="26"
                                    aria-hidden="true"><use href="#dial-ring"/><path class="knob-needle" d="M0,0V-8"
                                    transform="rotate({{ round(-135 + 270 * $knob->share()) }})"/></svg>
                                @else <svg class="knob-drawing" viewBox="-3 -12 86 24" width="86" height="24" aria-hidden="true"><path
                                    d="M0,0H80{{ $knob->marksPath(80) }}"/><path class="knob-cap"
                                    d="M{{ round(80 * $knob->share(), 1) }},-8V8"/></svg> @endif
                                <x-knob :page="$page" :control="$control" :knob="$knob" /> @endif</div>
                        @endforeach
                        <x-dial :page="$page" :control="$control" :but="$shown" />
                    </li>
                @endforeach
            </ul>
        @endif
    @endforeach
</div>

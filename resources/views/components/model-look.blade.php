@props(['look'])
{{-- A model as it is drawn, and what each input comes to at each output when it is new. --}}
<x-model-drawing :drawing="$look->drawing" />
@if ($look->devices !== [])
    <h2>What a computer would list</h2>
    <table class="facts"><tbody>@foreach ($look->devices as $device)
        <tr><th scope="row">{{ $device['name'] }}</th><td>{{ $device['direction'] }}, {{ $device['channels'] }} ch</td></tr>
        @endforeach</tbody></table>
@endif
@if ($look->reach !== null)
    <h2>What it would do, new from the box</h2>
    <div class="matrix-scroll" tabindex="0" role="region" aria-label="What each input comes to at each output, dB">
        <table class="matrix reach">
            <thead><tr><th scope="col">dB</th>@foreach ($look->reach->outputs as $output)
                <th scope="col">{{ $output }}</th> @endforeach</tr></thead>
            <tbody>@foreach ($look->reach->inputs as $input => $label) <tr><th scope="row">{{ $label }}</th>
                @foreach ($look->reach->outputs as $output => $_) <td class="figures">{{ $look->level($output, $input) }}</td> @endforeach
                </tr> @endforeach</tbody>
        </table>
    </div>
@endif

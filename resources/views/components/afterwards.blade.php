@props(['page', 'afterwards'])
{{-- What the recordings of the situation are good for afterwards: one line, and all of it when it is opened. --}}
<details class="stock-more afterwards" data-keep>
    <summary>Afterwards: {{ $afterwards->inShort }}</summary>
    @if ($afterwards->best !== [])
        <table class="facts">
            <thead><tr><th scope="col">Sound</th><th scope="col">Best found on</th><th scope="col">There</th><th
                scope="col">Together with</th></tr></thead>
            <tbody>@foreach ($afterwards->best as $row)
                <tr><th scope="row">{{ $row['sound'] }}</th><td>{{ $row['track'] }}</td><td>{{ $row['words'] }}</td><td>{{ $row['others']
                ?: '—' }}</td></tr> @endforeach</tbody>
        </table>
        @if ($afterwards->lost !== '') <p>On no track: {{ $afterwards->lost }}.</p> @endif
        @foreach ($afterwards->apart as $pair) <p><strong>Never sum {{ $pair['one'] }} and {{ $pair['other'] }}:</strong>
            {{ $pair['why'] }}.</p> @endforeach
        @foreach ($afterwards->containers as $unit => $keeps) <p class="quiet">{{ $unit }}: {{ $keeps }}</p> @endforeach
    @endif
</details>

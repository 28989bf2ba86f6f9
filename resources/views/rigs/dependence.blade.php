<x-rig-frame :page="$page">
    <div class="page dependence">
        <h2>What depends on what <small>{{ $page->situation->name }}</small></h2>
        @if ($depends->elements === []) <p class="quiet">Nothing that must be heard is heard in {{ $page->situation->name }} yet.</p> @else
        <table class="facts"><thead><tr><th scope="col">When this fails</th><th scope="col">Lost</th><th
            scope="col">Who loses what</th></tr></thead><tbody>
            @foreach ($depends->elements as $row) <tr><th scope="row"><a href="{{ $row['url'] }}">{{ $row['name'] }}</a></th><td
                class="figures" data-of="lost">{{ $row['count'] }}</td><td>{{ $row['lost'] }}</td></tr> @endforeach
        </tbody></table>
        @endif
        @if ($depends->starts !== [])
            <h3>What has to run first</h3>
            <table class="facts"><tbody>
                @foreach ($depends->starts as $row) <tr><th scope="row">{{ $row['computer'] }}</th><td>{{ implode(' → ', $row['order']) }}
                    @foreach ($row['late'] as $late) <span class="tag">{{ $late }}</span> @endforeach @if ($row['circle'] !== [])
                    <span class="tag">{{ implode(' and ', $row['circle']) }} wait for each other</span> @endif</td></tr> @endforeach
            </tbody></table>
        @endif
        @if ($depends->plugs !== [])
            <h3>Plugs that can come loose <small>the ways with the most</small></h3>
            <table class="facts"><tbody>@foreach ($depends->plugs as $row) <tr><th scope="row">{{ $row['what'] }}</th><td class="figures"
                data-of="plugs">{{ $row['plugs'] }}</td><td>{{ $row['leads'] }}</td></tr> @endforeach</tbody></table>
        @endif
        @if ($depends->touches !== [])
            <h3>Where a sound is muted for everybody, and nothing else with it</h3>
            <table class="facts"><tbody>@foreach ($depends->touches as $row)
                <tr><th scope="row">{{ $row['sound'] }}</th><td>@if ($row['places'] === [])
                <span class="quiet">nowhere by itself</span> @else {{ implode(', then ', $row['places']) }} @endif
                @if ($row['left'] !== '' && $row['places'] !== [])
                <span class="quiet">not by itself at {{ $row['left'] }}</span> @endif</td></tr> @endforeach</tbody></table>
        @endif
        @if ($depends->rehearsals !== [])
            <h3>When something takes the defaults <small>a headset that is plugged in, a driver that is installed</small></h3>
            <table class="facts"><thead><tr><th scope="col">Computer</th><th scope="col">Goes along</th><th scope="col">Lost</th><th
                scope="col">Protected by name</th></tr></thead><tbody>@foreach ($depends->rehearsals as $row)
                <tr><th scope="row">{{ $row['computer'] }}</th><td>{{ implode(', ', $row['follow']) ?: 'nothing' }}</td><td>{{ $row['lost']
                ?: 'nothing' }}</td><td class="figures" data-of="protected by name">{{ $row['protected'] }}</td></tr>
                @endforeach</tbody></table>
        @endif
        @if ($depends->unused !== null)
            <h3>Carries no wanted sound in any situation</h3>
            <p>@forelse ($depends->unused as $row) <a href="{{ $row['url'] }}">{{ $row['name'] }}</a>@if (! $loop->last), @endif @empty
                <span class="quiet">Everything is used.</span> @endforelse</p>
        @endif
    </div>
</x-rig-frame>

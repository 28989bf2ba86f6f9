<x-page :title="$label->title()" class="card-body">
    <main class="card-sheet label-sheet">
        <header>
            <p>@if ($label->isByLink()) {{ $label->record->name }} @else <a
                href="{{ route('rigs.wishes', $label->record->id) }}">{{ $label->record->name }}</a> @endif</p>
            <h1>{{ $label->title() }}</h1>
            <p class="quiet">{{ $label->kind() }}</p>
        </header>
        @if ($label->cable !== null)
            <section>
                <h2>Where it goes</h2>
                <ul class="label-ends">
                    @foreach ($label->atHand->endsOf($label->cable) as $end)
                        <li><strong>{{ $end['unit'] }}</strong> · {{ $end['socket'] }} <span class="quiet">{{ $end['place'] }}</span></li>
                    @endforeach
                </ul>
            </section>
            <section>
                <h2>What it carries</h2>
                <dl>
                    @foreach ($label->atHand->carries($label->cable) as $situation => $carries)
                        <dt>{{ $situation }}</dt>
                        <dd>{{ $carries }}</dd>
                    @endforeach
                </dl>
            </section>
            @unless ($label->isByLink())
            <section>
                <h2>Is it plugged?</h2>
                @forelse ($label->lost() as $situation => $listeners)
                    <h3>Without it, {{ $situation }}</h3>
                    <ul>
                        @foreach ($listeners as $listener => $sounds)
                            <li><strong>{{ $listener }}</strong> lacks {{ implode(', ', $sounds) }}</li>
                        @endforeach
                    </ul>
                @empty
                    <p>Without it nobody lacks a sound.</p>
                @endforelse
                <p><a href="{{ $label->cablingUrl() }}">Tick it on the cabling card</a></p>
            </section>
            @endunless
        @elseif ($label->unit !== null)
            <section>
                <h2>What is plugged</h2>
                <ul class="label-ends">
                    @foreach ($label->atHand->socketsOf($label->unit) as $socket)
                        <li><strong>{{ $socket['socket'] }}</strong>
                            @if ($socket['cable'] !== null)
                                <a href="{{ $label->url('cable', $socket['cable']->id) }}">{{ $socket['cable']->label }}</a> to
                            @endif
                            <span @class(['quiet' => $socket['cable'] === null])>{{ $socket['there'] }}</span></li>
                    @endforeach
                </ul>
                @unless ($label->isByLink()) <p><a href="{{ $label->cablingUrl() }}">Cabling card</a></p> @endunless
            </section>
        @endif
        @unless ($label->isByLink()) <footer><p><a href="{{ $label->mapUrl() }}">Change it on the map</a></p></footer> @endunless
    </main>
</x-page>

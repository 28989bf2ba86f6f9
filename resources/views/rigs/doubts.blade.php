<x-rig-frame :page="$page">
    <div class="page doubts">
        <h2>Assumptions <small>what the plan relies on in {{ $page->situation->name }}</small></h2>
        @if ($doubts->open === [] && $doubts->proven === [])
            <p class="quiet">Nothing is written down yet. Say in the sheet of a unit or a cable how sure something is:
                stated by somebody, assumed, proven, or known not to work.</p>
        @endif
        @foreach ($doubts->assumed as $assumed) <p class="quiet">{{ $assumed }}</p> @endforeach
        @foreach ($doubts->open as $row)
            <article class="doubt @if (! $row['isOpen']) fails @endif">
                <h3>{{ $row['subject'] }} <span class="tag">{{ $row['fact']->certainty->words() }}</span></h3>
                <p>{{ $row['fact']->what }} @if ($row['fact']->by !== '' || $row['fact']->on !== '')
                    <small class="quiet">({{ implode(', ', array_filter([$row['fact']->by, $row['fact']->on])) }})</small> @endif</p>
                @if ($row['proof'] !== '') <p><strong>Proof:</strong> {{ $row['proof'] }}</p> @endif
                <p class="quiet">What depends on it: {{ $row['hangs'] }}.</p>
                @if ($page->canEdit)
                    <x-edit :page="$page" class="row-form"
                        :fields="['edit' => 'prove', 'about' => (string) $row['fact']->about, 'with' => (string) $row['fact']->with,
                        'situation' => '']">
                        <input name="by" maxlength="{{ Bounds::SHORT_NAME }}" placeholder="Who tried it"
                            aria-label="Who tried {{ $row['subject'] }}">
                        <input type="date" name="on" aria-label="Day on which {{ $row['subject'] }} was tried">
                        <input name="firmware" maxlength="{{ Bounds::SHORT_NAME }}" placeholder="Firmware"
                            aria-label="Firmware with which {{ $row['subject'] }} was tried">
                        <button class="do" type="submit" name="certainty"
                            value="proven">Confirmed<span class="visually-hidden">: {{ $row['subject'] }}</span></button>
                        @if ($row['isOpen']) <button class="do" type="submit" name="certainty"
                            value="fails">Failed<span class="visually-hidden">: {{ $row['subject'] }}</span></button> @endif
                    </x-edit>
                @endif
            </article>
        @endforeach
        @if ($doubts->proven !== [])
            <h3>Proven</h3>
            <ul class="plain-list">@foreach ($doubts->proven as $row) <li><strong>{{ $row['subject'] }}</strong>: {{ $row['fact']->what }}
                <small class="quiet">{{ implode(', ', array_filter([$row['fact']->by, $row['fact']->on, $row['fact']->firmware === '' ? ''
                : "firmware {$row['fact']->firmware}"])) }}</small></li> @endforeach</ul>
        @endif
    </div>
</x-rig-frame>

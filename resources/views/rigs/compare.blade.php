<x-rig-frame :page="$page">
    <div class="page compare">
        <p><a href="{{ $page->url([], 'history') }}">History</a></p>
        <h2>From revision {{ $before->number }} to {{ $after->number }}</h2>
        <p class="quiet">{{ $before->what }} ({{ $before->created_at->toDateTimeString() }}) → {{ $after->what }} ({{ $after->created_at->toDateTimeString() }})</p>
        <div class="compare-parts">
            <section aria-labelledby="changed-title">
                <h3 id="changed-title">What was changed</h3>
                @forelse ($difference->lines() as $about => $lines)
                    <h4>{{ $about }}</h4>
                    <ul class="changes">@foreach ($lines as $line) <li>{{ $line }}</li> @endforeach</ul>
                @empty <p class="quiet">Nothing.</p> @endforelse
            </section>
            <section class="odds-list" aria-labelledby="heard-title">
                <h3 id="heard-title">For whom the hearing changes</h3>
                @php $isAny = false; @endphp
                @foreach ($difference->hearing() as $situation => $heard)
                    @if ($heard->pairs !== [])
                        @php $isAny = true; @endphp
                        <h4>{{ $situation }}</h4>
                        <ul class="heard-changes">@foreach ($heard->pairs as $pair) <li><span class="loop-line"><x-heard-change :before="$pair['before']" :after="$pair['after']" /></span></li> @endforeach</ul>
                    @endif
                @endforeach
                @if (! $isAny) <p class="quiet">For nobody.</p> @endif
            </section>
        </div>
    </div>
</x-rig-frame>

<x-rig-frame :page="$page">
    <div class="page compare">
        <p><a href="{{ $page->url([], 'history') }}">History</a></p>
        <h2>From revision {{ $comparison->before->number }} to {{ $comparison->after->number }}</h2>
        <p class="quiet">{{ $comparison->words() }}</p>
        <div class="compare-parts">
            <section aria-labelledby="changed-title">
                <h3 id="changed-title">What was changed</h3>
                @forelse ($comparison->difference->lines() as $about => $lines)
                    <h4>{{ $about }}</h4>
                    <ul class="changes">@foreach ($lines as $line) <li>{{ $line }}</li> @endforeach</ul>
                @empty <p class="quiet">Nothing.</p> @endforelse
            </section>
            <section class="odds-list" aria-labelledby="heard-title">
                <h3 id="heard-title">For whom the hearing changes</h3>
                @forelse ($comparison->heard() as $situation => $heard)
                    <h4>{{ $situation }}</h4>
                    <ul class="heard-changes">@foreach ($heard->pairs as $pair) <li><span class="loop-line"><x-heard-change :before="$pair['before']" :after="$pair['after']" /></span></li> @endforeach</ul>
                @empty <p class="quiet">For nobody.</p> @endforelse
            </section>
        </div>
    </div>
</x-rig-frame>

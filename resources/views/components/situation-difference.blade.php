@props(['page'])
{{-- From the situation that is compared with to the one that is shown: what a hand would do, and for whom the hearing changes. --}}
@if ($page->difference !== null)
    <p class="lead-line">From {{ $page->difference->before->situation->name }} to {{ $page->situation->name }}:</p>
    <ul class="changes">
        @forelse ($page->difference->changes as $change) <li>{{ $change }}</li> @empty <li>nothing differs</li> @endforelse
    </ul>
    <ul class="heard-changes">
        @foreach ($page->difference->pairs as $pair)
            <li><a href="{{ $page->url(['pair' => "{$pair['after']->source->id}:{$pair['after']->listener->id}"],
                'wishes') }}"><x-heard-change :before="$pair['before']" :after="$pair['after']" /></a></li>
        @endforeach
    </ul>
@endif

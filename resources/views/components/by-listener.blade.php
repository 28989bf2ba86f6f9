@props(['page', 'hasMarks' => true])
{{-- Who hears what on a narrow screen: one listener after the other, and in words only what is wrong. --}}
@php
    use App\ViewModels\WayStrip;
    $pairs = [];
    foreach ($page->rig->listeners as $listener) {
        foreach ($page->rig->sources as $source) {
            $pairs[$listener->id][] = $page->hearing->pair($source->id, $listener->id);
        }
    }
    $odds = count($page->atOdds());
@endphp
<section class="by-listener" aria-label="By listener">
    <p class="sum">@if ($odds > 0) <strong>{{ $odds }}</strong> not as wished @else {{ ucfirst($page->standing()) }} @endif
        <small>of {{ count($page->rig->sources) * count($page->rig->listeners) }}, levels in dB</small>
        <a href="{{ $page->url(['as' => 'table']) }}">As a table</a></p>
    @foreach ($page->rig->listeners as $listener)
        @php $wrong = array_filter($pairs[$listener->id] ?? [], fn ($pair) => $pair->verdict->isAtOdds()); @endphp
        <article>
            <h3>{{ $listener->name }} <small>{{ $listener->kind->value }}</small></h3>
            <span class="marks">@foreach ($hasMarks ? $pairs[$listener->id] ?? [] : [] as $pair) <a href="{{ $page->url(['pair' =>
                "{$pair->source->id}:{$listener->id}"]) }}" title="{{ $pair->source->name }}"
                aria-label="{{ $pair->source->name }} at {{ $listener->name }}: {{ WayStrip::say($pair) }}"><x-verdict
                :verdict="$pair->verdict" :silent="! $pair->isHeard()" /></a> @endforeach</span>
            @if ($wrong !== []) <strong class="count">{{ count($wrong) }}</strong> @endif
            @foreach ($wrong as $pair)
                <a class="wrong" href="{{ $page->url(['pair' => "{$pair->source->id}:{$listener->id}"]) }}"><x-verdict
                    :verdict="$pair->verdict" :silent="! $pair->isHeard()" /><span>{{ $pair->source->name }}</span><span
                    class="says">{{ WayStrip::short($pair) }}</span><span class="figures">{{ $pair->level()?->text() }}</span></a>
            @endforeach
        </article>
    @endforeach
</section>

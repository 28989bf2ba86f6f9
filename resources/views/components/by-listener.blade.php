@props(['page', 'list'])
{{-- Who hears what on a narrow screen: one listener after the other, and in words only what is wrong. --}}
@php use App\ViewModels\WayStrip; @endphp
<section class="by-listener" aria-label="By listener">
    <p class="sum">@if ($list->odds > 0) <strong>{{ $list->odds }}</strong> not as wished @else {{ ucfirst($page->standing()) }} @endif
        <small>of {{ $list->cells }}, levels in dB</small>
        <a href="{{ $page->url(['as' => 'table']) }}">As a table</a></p>
    @foreach ($list->rows as ['listener' => $listener, 'marked' => $marked, 'wrong' => $wrong])
        <article>
            <h2>{{ $listener->name }} <small>{{ $listener->kind->value }}</small></h2>
            <span class="marks">@foreach ($marked as $pair) <a href="{{ $page->url(['pair' =>
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

@props(['page', 'strip'])
@php $pair = $strip->pair; @endphp
<section class="strip" aria-label="Way strip">
    <div class="strip-head">
        <span class="pen-name pen-{{ $page->penOf($pair->source->id)?->value }}">{{ $pair->source->name }}</span>
        <span class="strip-to">to <strong>{{ $pair->listener->name }}</strong></span>
        <x-verdict :verdict="$pair->verdict" :silent="$pair->arrivals === []" />
        <span class="strip-says">{{ $strip->sentence() }}</span>
        <span class="strip-tools">
            @if ($page->view === 'wiring')
                @if ($pair->arrivals !== [])
                    <a data-key-focus href="{{ $page->url(['focus' => $page->focus ? null : '1']) }}" @if ($page->focus) aria-current="true" @endif>{{ $page->focus ? 'Show all' : 'Only this way' }}</a>
                @endif
            @else
                <a href="{{ $page->url([], 'wiring') }}">See it on the map</a>
            @endif
            <a data-key-close href="{{ $page->url(['pair' => null, 'focus' => null, 'pens' => implode(',', array_diff($page->pens, [$pair->source->id]))]) }}" aria-label="Let go of this way"><i class="bi bi-x-lg" aria-hidden="true"></i></a>
        </span>
    </div>
    @foreach ($strip->ways as $number => $steps)
        @php $arrival = $pair->arrivals[$number]; @endphp
        <div class="way">
            <span class="way-number" aria-label="Way {{ $number + 1 }}">{{ $number + 1 }}</span>
            <ol class="way-steps">
                @foreach ($steps as $step)
                    <li class="realm-{{ $step->realm->value }} @if ($step->change !== '') changes @endif">
                        <a href="{{ $page->url(['select' => $step->select], 'wiring') }}" @if ($step->detail !== '') title="{{ $step->detail }}" @endif>
                            <span class="step-title">{{ $step->title }}</span>
                            @if ($step->detail !== '') <span class="step-detail">{{ $step->detail }}</span> @endif
                            <span class="figures">{{ $step->level }} dB{{ $step->time === '0.0' ? '' : " · {$step->time} ms" }}</span>
                            @foreach ($step->faders as $fader) <span class="governs" title="The fader here changes it">{{ $fader }}</span> @endforeach
                        </a>
                    </li>
                @endforeach
            </ol>
            <span class="way-end"><strong>{{ $pair->listener->name }}</strong> <span class="figures">{{ $arrival->gain->text() }} dB · {{ $arrival->delay->text() }} ms · {{ $arrival->channels() }}</span></span>
        </div>
    @endforeach
    @if ($pair->isCapped) <p class="strip-note">There are more ways than are counted here.</p> @endif
    @if ($pair->verdict === HiddenWire\Core\Signal\Verdict::Missing)
        @if ($strip->break === null)
            <p class="strip-note">Nothing that is plugged, switched or picked here could join them.</p>
        @else
            <div class="gap">
                <span class="gap-end"><span class="gap-label">It gets as far as</span> {{ $strip->break->live === [] ? 'where it begins' : $strip->break->live[count($strip->break->live) - 1] }}</span>
                <ol class="gap-changes">
                    @foreach ($strip->break->changes as $change) <li><i class="bi bi-arrow-left-right" aria-hidden="true"></i> {{ $change->text }}</li> @endforeach
                </ol>
                <span class="gap-end"><span class="gap-label">from there on</span> {{ $strip->break->waiting === [] ? $pair->listener->name : implode(' · ', array_slice(array_values(array_unique($strip->break->waiting)), 0, 4)) }}</span>
            </div>
        @endif
    @endif
</section>

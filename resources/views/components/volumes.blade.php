@props(['page', 'knobs'])
{{-- Volume knobs in series: which one to turn, and which to leave. --}}
@if ($knobs->all !== [])
    <details class="stock-more volumes" data-keep><summary>Volumes in series</summary>
        @foreach ($knobs->all as $row)
            <div class="fact">
                <p><strong>{{ $row['listener']->name }}</strong>: everything passes these.</p>
                <ol class="plain-list">@foreach ($row['volumes']->knobs as $knob) <li>{{ $knob['name'] }}
                    <span class="figures">{{ number_format($knob['db'], 1) }} dB</span>
                    @if ((string) $knob['at'] === (string) $row['volumes']->working) <span class="tag">working knob</span>
                    @elseif (! $knob['isAlone']) <span class="quiet">others hear it, too</span>
                    @else <span class="quiet">leave at {{ number_format($knob['reference'], 1) }} dB</span> @endif</li> @endforeach</ol>
                @if ($page->canEdit && $row['canMend'])
                    <x-edit :page="$page" :fields="['edit' => 'one-knob', 'listener' => $row['listener']->id, 'situation' => '']"><button
                    class="do" type="submit">Leave one knob to turn<span class="visually-hidden">
                    for {{ $row['listener']->name }}</span></button></x-edit> @endif
            </div>
        @endforeach
    </details>
@endif

@php $mayTest = Gate::allows('test', $tones->page->record); @endphp
<x-rig-frame :page="$tones->page">
    <div class="page tones-page">
        <div class="recipes-head">
            <h2>Tone test</h2>
            <a href="{{ $tones->page->url([], 'bench') }}">Back to Bench</a>
        </div>
        <p class="quiet fault-lead">Every sound plays a minute of tones of its own, all at once. What each track records then says which
            sound arrives, how loud, when, on which side, twice, or not at all.</p>
        @if ($tones->plan->signatures === []) <p>No sound of this rig begins anywhere yet: say at its unit where it comes from.</p> @endif
        <ol class="tone-steps">
            <li>
                <h3>Start recording</h3>
                <p>Every track of the recorder, before anything plays. Stop it when all have played to the end.</p>
            </li>
            <li>
                <h3>Play</h3>
                <p>Open each page where its sound begins, and press Play within the same minute. Soft is enough: it is found far under
                    noise.</p>
                @foreach ($tones->playing() as $place => $sounds)
                    <table class="tone-sounds"><caption>{{ $place === '' ? 'No place' : $place }}</caption><tbody>
                        @foreach ($sounds as $sound)
                            <tr><th scope="row">{{ $sound['source']->name }}</th>
                                <td>{{ $sound['how'] }}@if ($sound['note'] !== '') <small>{{ $sound['note'] }}</small>@endif</td>
                                <td><a href="{{ $sound['play'] }}">Play page<span class="visually-hidden"> of {{ $sound['source']->name
                                    }}</span></a></td>
                                <td><a href="{{ $sound['file'] }}" download>WAV<span class="visually-hidden"> of {{ $sound['source']->name
                                    }}</span></a></td></tr>
                        @endforeach
                    </tbody></table>
                @endforeach
                @if ($tones->silent() !== []) <p class="quiet">Not in it, since they begin nowhere or there are too many: {{
                    implode(', ', array_map(fn ($one) => $one->name, $tones->silent())) }}.</p> @endif
            </li>
            <li>
                <h3>Bring the recording in</h3>
                @if ($tones->recorders() === []) <p>This rig records no track.</p>
                @elseif (! $mayTest) <p class="quiet">You may look at this rig: bringing a recording in takes the role test.</p> @else
                <form class="tone-bring" x-data="takeFiles" x-on:submit.prevent="send" data-to="{{ route('rigs.tones.store',
                    $tones->page->record, false) }}">
                    <x-tone-fields :tones="$tones" id="bring" />
                    <label>Files <input class="form-control form-control-sm" type="file" name="files" multiple required
                        accept=".wav,.rf64,.mkv,.mp4,.mov,.m4a,.flac,.ogg,.mp3,audio/*,video/*"></label>
                    @if ($tones->voices() !== [])
                    <details class="tone-marks"><summary>Or an ordinary recording: mark who speaks</summary>
                        <p class="quiet">Without tones, levels tell how far microphones are apart, which one is wrong, and whose voices
                            match. Say when the recording starts, then press who begins to speak, and again when they end. Keep this page
                            open.</p>
                        <div class="bench-answers"><button type="button" class="bench-answer" x-on:click="begin">The recording starts
                            now</button>@foreach ($tones->voices() as $id => $name) <button type="button" class="bench-answer"
                            data-source="{{ $id }}" aria-pressed="false" x-on:click="mark">{{ $name }}</button> @endforeach</div>
                        <p x-text="marked" role="status"></p>
                    </details>
                    @endif
                    <button class="btn btn-sm btn-ink" type="submit" disabled x-bind:disabled="isBusy">Bring it in</button>
                    <progress max="100" x-show="isBusy" x-bind:value="percent" aria-label="Sent"></progress>
                    <p role="status" x-text="says"></p>
                    <p class="quiet">WAV, Matroska, MP4 or FLAC; of several files one a track, in the order of the tracks. Deleted after 7
                        days unless you keep them.</p>
                </form>
                @endif
            </li>
        </ol>
        @if ($tones->recorders() !== [] && $mayTest)
        <details class="bench-import"><summary>Try it in a simulated room</summary>
            <form method="post" action="{{ route('rigs.tones.simulate', $tones->page->record) }}">@csrf
                <x-tone-fields :tones="$tones" id="simulate" />
                <fieldset><legend>Hidden in it</legend>@foreach ($tones->hides() as $what => $words)
                    <label><input class="form-check-input" type="checkbox" name="parts[]" value="{{ $what }}"> {{ $words }}</label>
                    @endforeach</fieldset>
                <button class="do" type="submit">Record there</button>
            </form>
        </details>
        @endif
        @if ($tones->takes !== [])
        <section aria-labelledby="takes"><h3 id="takes">Recordings</h3>
            <ul class="tone-takes">
                @foreach ($tones->takes as $take)
                    <li><a href="{{ $tones->url($take) }}">{{ $take->hidden === null ? 'Recording' : 'Simulated recording' }} of {{
                        $take->created_at->isoFormat('D MMMM, HH:mm') }}</a> <span class="quiet">{{ $take->says() }}; {{ $take->kept()
                        }}</span></li>
                @endforeach
            </ul>
        </section>
        @endif
    </div>
</x-rig-frame>

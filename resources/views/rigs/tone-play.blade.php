<x-page :title="'Tones of '.$source->name" class="card-body">
    <main class="card-sheet tone-play" x-data="tonePlay">
        <header>
            <p><a href="{{ $page->url([], 'bench') }}">{{ $page->record->name }}</a></p>
            <h1>{{ $source->name }}</h1>
        </header>
        <p>When the recorder runs: Play. It takes a minute. Leave the volume where it is in the show; take headphones off first.</p>
        <audio x-ref="sound" src="{{ $file }}" preload="auto" x-on:timeupdate="tick" x-on:ended="over"></audio>
        <button type="button" class="btn btn-ink tone-start" disabled x-bind:disabled="isAway" x-on:click="play"
            x-text="label">Play</button>
        <progress max="60" value="0" x-bind:value="at" aria-label="Played"></progress>
        <p role="status" x-text="says"></p>
        <p><a href="{{ $file }}" download>WAV file</a></p>
    </main>
</x-page>

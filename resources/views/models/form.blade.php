@php
    use HiddenWire\Core\Equipment\Family;
    $words = fn (BackedEnum $case) => str_replace('-', ' ', (string) $case->value);
@endphp
<x-page :title="$form->title()" class="shelf">
    <header class="top">
        <x-brand />
        <h1>{{ $form->title() }}</h1>
        <nav aria-label="Elsewhere"><a href="{{ route('models') }}">Own models</a> · <a href="{{ route('catalogue') }}">Catalogue</a></nav>
        <div class="top-end"><x-account /></div>
    </header>
    <main class="model-page">
        <form class="model-form" method="post" action="{{ $form->action() }}" x-data="sketch" x-on:input="typed"
            data-sketch="{{ route('models.drawing') }}">
            @csrf @if ($form->own !== null) @method('put') @endif
            <div class="model-head">
                <label>Name <input class="form-control" name="name" maxlength="{{ Bounds::NAME }}" required
                    value="{{ $form->head['name'] }}"></label>
                <label>Family <select class="form-select" name="family">@foreach (Family::cases() as $case)
                    <option value="{{ $case->value }}" @selected($case->value === $form->head['family'])>{{ $words($case) }}</option>
                    @endforeach</select></label>
                <label class="wide">What it does <input class="form-control" name="summary" maxlength="{{ Bounds::MODEL_SUMMARY }}"
                    value="{{ $form->head['summary'] }}"></label>
            </div>
            @foreach ($form->steps() as $step => $sheets)
                <section class="model-step">
                    <h2>{{ $step }}</h2>
                    @if ($form::isOfComputers($step)) @foreach ($form::seen() as $part)
                        <div class="model-sheet" x-data="sheetPart" data-of="{{ $part['of'] }}" data-columns="{{ $part['columns'] }}"
                            data-words="{{ $part['words'] }}" data-families="{{ $part['families'] }}">
                            <h3>{{ $part['words'] }}</h3>
                            <p class="quiet" data-nothing>{{ $part['nothing'] }}</p>
                        </div>
                    @endforeach @endif
                    @foreach ($sheets as $one)
                        <details class="model-sheet" @if (! $one['isFolded']) open @endif>
                            <summary>{{ $one['sheet']->words }}</summary>
                            @if ($one['hint'] !== '') <p class="quiet">{{ $one['hint'] }}</p> @endif
                            <div x-data="sheet" data-thing="{{ $one['thing'] }}" data-columns="{{ $form::columns($one['key']) }}"
                                @if ($one['key'] === 'routes') data-paint @endif>
                                @if ($one['key'] === 'controls') <button type="button" class="do" x-on:click="fromPoints">Write one for each
                                    gain, fader and mute of the points</button> @endif
                                <textarea name="sheets[{{ $one['key'] }}]" data-sheet="{{ $one['key'] }}" rows="4" spellcheck="false"
                                    aria-label="{{ $one['sheet']->words }}: headings, then a line each, tabs between">{{ $one['text']
                                    }}</textarea>
                            </div>
                        </details>
                    @endforeach
                </section>
            @endforeach
            @foreach (['points', 'sockets', 'settings'] as $list) <datalist id="called-{{ $list }}"></datalist> @endforeach
            <button class="btn btn-ink" type="submit">Save the model</button>
        </form>
        <section class="model-live" aria-label="The model as it is written" aria-live="polite" data-sketched>
            @if ($form->problems !== []) @include('models.problems', ['problems' => $form->problems]) @elseif ($form->look !== null)
                <x-model-look :look="$form->look" /> @else <p class="quiet">It is drawn here as you type.</p> @endif
        </section>
    </main>
    <x-keys />
</x-page>

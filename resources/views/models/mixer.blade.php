@php
    use HiddenWire\Core\Equipment\EffectKind;
    use HiddenWire\Core\Kinds\Card;
    use HiddenWire\Core\Kinds\Listening;
@endphp
<x-page title="A mixer, by what it has" class="shelf">
    <header class="top">
        <x-brand />
        <h1>A mixer, by what it has</h1>
        <nav aria-label="Elsewhere"><a href="{{ route('models') }}">Own models</a> · <a href="{{ route('catalogue') }}">Catalogue</a></nav>
        <div class="top-end"><x-account /></div>
    </header>
    <main class="model-page">
        <form class="model-form mixer-form" method="post" action="{{ route('models.mixer.store') }}" x-data="sketch" x-on:input="typed"
            data-sketch="{{ route('models.mixer.drawing') }}">
            @csrf
            <label class="mixer-name">Name <input class="form-control" id="name" name="name" maxlength="{{ Bounds::NAME }}" required
                value="{{ $form->name }}" @if (isset($form->problems['name'])) aria-invalid="true" @endif></label>
            <p class="quiet">Begin as @foreach ($form::presets() as $id => $name) <a href="{{ route('models.mixer', ['from' => $id]) }}">{{
                $name }}</a>@if (! $loop->last), @endif @endforeach</p>
            @foreach ($form::COUNTS as $group => $counts)
                <fieldset><legend>{{ $group }}</legend>
                    @foreach ($counts as $option => $label)
                        <label>{{ $label }} <input class="form-control" type="number" id="{{ $option }}" name="{{ $option }}" min="0"
                            max="{{ $form::most($option) }}" value="{{ $form->count($option) }}" @if (isset($form->problems[$option]))
                            aria-invalid="true" @endif></label>
                    @endforeach
                </fieldset>
            @endforeach
            <fieldset><legend>How it behaves</legend>
                @foreach ($form::FLAGS as $option => [$label, $off, $on])
                    <div><label for="{{ $option }}">{{ $label }}</label>
                        <select class="form-select" id="{{ $option }}" name="{{ $option }}"><option value="0">{{ $off }}</option>
                            <option value="1" @selected($form->isOn($option))>{{ $on }}</option></select></div>
                @endforeach
                <div><label for="listening">A sound alone in the headphones</label>
                    <select class="form-select" id="listening" name="listening">@foreach (Listening::cases() as $case)
                        <option value="{{ $case->value }}" @selected($case === $form->has->listening)>{{ $case->words() }}</option>
                        @endforeach</select></div>
                <div><label for="card">On a memory card</label>
                    <select class="form-select" id="card" name="card">@foreach (Card::cases() as $case)
                        <option value="{{ $case->value }}" @selected($case === $form->has->card)>{{ $case->words() }}</option>
                        @endforeach</select></div>
                <label>Faders on it, the others in its program <input class="form-control" type="number" id="faders" name="faders" min="0"
                    max="64" placeholder="all" value="{{ $form->has->faders }}" @if (isset($form->problems['faders']))
                    aria-invalid="true" @endif></label>
            </fieldset>
            <fieldset class="mixer-tools"><legend>What a microphone's strip can do</legend>
                @foreach (EffectKind::cases() as $tool)
                    <label class="form-check"><input class="form-check-input" type="checkbox" name="tool-{{ $tool->value }}" value="1"
                        @checked(in_array($tool, $form->has->tools, true))> {{ $tool->words() }}</label>
                @endforeach
            </fieldset>
            <button class="btn btn-ink" type="submit">Keep this mixer</button>
        </form>
        <section class="model-live" aria-label="The mixer as it is said" aria-live="polite" data-sketched>
            @if ($form->problems !== []) @include('models.mixer-problems') @elseif ($form->look() !== null)
                <x-model-look :look="$form->look()" /> @endif
        </section>
    </main>
    <x-keys />
</x-page>

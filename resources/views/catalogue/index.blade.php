@php
    use HiddenWire\Core\Equipment\Family;
    $chosen = $catalogue->chosen;
@endphp
<x-page title="Catalogue" class="shelf">
    <header class="top">
        <x-brand />
        <h1>Catalogue</h1>
        <nav aria-label="Elsewhere">@if ($catalogue->rig !== null) <a href="{{ route('rigs.stock', $catalogue->rig->id) }}"><i
            class="bi bi-arrow-left" aria-hidden="true"></i> {{ $catalogue->rig->name }}</a> · @endif
            <a href="{{ route('rigs.index') }}">Rigs</a> · <a href="{{ route('models') }}">Own models</a></nav>
        <div class="top-end"><x-account /></div>
    </header>
    <main class="catalogue">
        <section class="catalogue-list" aria-label="Models">
            <form class="catalogue-search" method="get" action="{{ route('catalogue') }}" role="search">
                @if ($catalogue->rig !== null) <input type="hidden" name="rig" value="{{ $catalogue->rig->id }}"> @endif
                <label class="visually-hidden" for="q">Search by name, use or socket</label>
                <input class="form-control" id="q" name="q" type="search" value="{{ $catalogue->text }}" placeholder="Name, use or socket">
                <label class="visually-hidden" for="family">Family</label>
                <select class="form-select" id="family" name="family">
                    <option value="">All families</option>
                    @foreach (Family::cases() as $case) <option value="{{ $case->value }}"
                        @selected($case === $catalogue->family)>{{ $case->words() }}</option> @endforeach
                </select>
                <button class="btn btn-ink" type="submit"><i class="bi bi-search"
                    aria-hidden="true"></i><span class="visually-hidden">Search</span></button>
            </form>
            <p class="quiet">{{ count($catalogue->found) }} of {{ $catalogue->total() }} models</p>
            @if ($catalogue->found === []) <p>Nothing has all of that. Search for less, or for another family.</p> @endif
            @if ($chosen === null)
                <ul>@foreach ($catalogue->families as $family => $models)
                    <li><a href="{{ $catalogue->familyUrl($family === $catalogue->family?->value ? null : $family) }}"
                        @if ($family === $catalogue->family?->value) aria-current="true" @endif>{{ ucfirst($models[0]->family->words()) }}
                        <small>{{ count($models) }}</small></a></li> @endforeach</ul>
            @else
                <ul>@foreach ($catalogue->found as $model)
                    <li><a href="{{ $catalogue->url($model) }}" @if ($chosen === $model)
                        aria-current="true" @endif><strong>{{ $model->name }}</strong> <small>{{ $model->family->words() }}</small></a></li>
                @endforeach</ul>
            @endif
        </section>
        <section class="catalogue-model" aria-label="Chosen model">
            @if ($chosen === null)
                @foreach ($catalogue->families as $family => $models)
                    <h2 id="family-{{ $family }}">{{ ucfirst($models[0]->family->words()) }}</h2>
                    @if ($family === Family::Mixer->value) <p class="quiet">Yours is another? <a href="{{ route('models.mixer') }}">Say
                        what it has</a>.</p> @endif
                    <ul class="family-models">@foreach ($models as $model)
                        @php $marks = App\ViewModels\SocketMark::of($model); @endphp
                        <li><a href="{{ $catalogue->url($model) }}"><strong>{{ $model->name }}</strong><small>{{ $model->summary
                            }}</small></a>@if ($marks !== [])<span class="socks"><x-sockets :marks="$marks" /></span>@endif</li>
                        @endforeach</ul>
                @endforeach
            @else
                <p class="quiet"><a href="{{ $catalogue->familyUrl($catalogue->family?->value) }}"><i class="bi bi-arrow-left"
                    aria-hidden="true"></i> all families</a></p>
                <h2>{{ $chosen->name }}</h2>
                <p>{{ $chosen->summary }}</p>
                @if ($chosen->grows !== []) <p>Has {{ $chosen->sizes() }}; drawn with {{ $chosen->size() }}.</p> @endif
                @if ($catalogue->shelves !== [])
                    <form class="row-form add-to-rig" method="post" action="{{ route('catalogue.add') }}">
                        @csrf
                        <input type="hidden" name="model" value="{{ $chosen->id }}">
                        <select name="to" aria-label="Rig and place">@foreach ($catalogue->shelves as $shelf)
                            <optgroup label="{{ $shelf->rig }}">@foreach ($shelf->places as $to => $place)
                            <option value="{{ $to }}">{{ $place }}</option> @endforeach</optgroup> @endforeach</select>
                        <button class="btn btn-sm btn-ink" type="submit">Add to my rig</button>
                    </form>
                @endif
                @if ($errors->any()) <p class="form-trouble" role="alert">{{ implode(' ', $errors->all()) }}</p> @endif
                <p><a href="{{ route('models.create', ['from' => $chosen->id]) }}">Make a model of your own from this one</a></p>
                <x-model-drawing :drawing="$catalogue->drawing" />
                <p class="quiet">Lines inside: what passes when it is new; dotted: what can be switched on.</p>
                @if ($chosen->sockets !== [])
                    <h3>Sockets</h3>
                    <table class="facts"><tbody>
                        @foreach ($chosen->sockets as $socket)
                            <tr><th scope="row">{{ $socket->label }}</th><td>{{ $socket->connector->words() }} · {{ str_replace('-', ' ',
                                $socket->signal->value) }}{{ $socket->balanced ? ' · balanced' : '' }}{{ $socket->phantom === null ? ''
                                : " · {$socket->phantom->value} phantom power" }}{{ $socket->maxDbu === null ? ''
                                : " · up to {$socket->maxDbu} dBu" }}
                                @foreach ($socket->lanes as $lane) @if ($lane->device !== null)
                                    <small>{{ $lane->device->direction->value }} device “{{ $catalogue->deviceName($socket,
                                    $lane) }}”</small> @endif @endforeach</td></tr>
                        @endforeach
                    </tbody></table>
                @endif
                <h3>Inside</h3>
                <table class="facts"><tbody>
                    @foreach ($chosen->points as $point)
                        <tr><th scope="row">{{ $point->label }}</th><td>{{ $point->kind->value }}, {{ $point->channels }} ch{{
                            $point->gain === null ? '' : " · gain {$point->gain->from->text()} to {$point->gain->to->text()} dB" }}{{
                            $point->fader === null ? '' : ' · fader' }}{{ $point->mute === null ? '' : ' · mute' }}{{ $point->mono === null
                            ? '' : ' · mono switch' }}{{ $point->inverted === null ? '' : ' · polarity switch' }}{{ $point->picks === null
                            ? '' : " · picks a {$point->picks->value} device" }}{{ $point->device === null ? ''
                            : " · installs a {$point->device->direction->value} device" }}</td></tr>
                    @endforeach
                </tbody></table>
            @endif
        </section>
    </main>
    <x-keys />
</x-page>

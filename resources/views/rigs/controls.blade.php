<x-rig-frame :page="$page">
    <div class="page controls-page">
        <h2>Controls <small>what hands move, and for whom what changes in {{ $page->situation->name }}</small></h2>
        @if ($page->rig->controls === [] && $controls->asTheyCome() === []) <p class="quiet">No control is entered yet: a fader, a knob, a
            key, a pad, a foot switch or a keyboard shortcut. Say what it moves, and its reach is worked out.</p> @endif
        @foreach ($controls->surfaces() as $surface => $list)
            <section class="surface" aria-label="{{ $surface }}">
                <h3>{{ $surface }}</h3>
                <ul class="hands">
                    @foreach ($list as $control)
                        <li id="control-{{ $control->id }}" data-key="control-{{ $control->id }}"
                            @class(['is-chosen' => $control === $controls->chosen])>
                            <x-hand :control="$control" />
                            <div class="hand-does"><x-hand-does :page="$page" :controls="$controls" :control="$control" />
                                @if ($control === $controls->chosen && ! $control->goesTo()) <x-try-hand :page="$page" :controls="$controls"
                                    :control="$control" /> @endif
                                @if ($control === $controls->chosen && $page->canEdit) <x-control-forms :page="$page" :controls="$controls"
                                    :control="$control" /> @endif</div>
                        </li>
                    @endforeach
                </ul>
            </section>
        @endforeach
        @php $comes = $controls->asTheyCome(); @endphp
        @if ($comes !== []) <details class="comes-with" @if ($page->rig->controls === []) open @endif><summary>As the units come: {{
            $controls->comes() }}</summary>
            @foreach ($comes as $unit => $list) <p><strong>{{ $unit }}</strong> @foreach ($list as $id => $name) <a
                href="{{ $page->url(['control' => $id]) }}#control-{{ $id }}">{{ $name }}</a>@if (! $loop->last), @endif @endforeach</p>
            @endforeach
        </details> @endif
        @php $fewer = $controls->fewerHands(); @endphp
        @if ($fewer !== null && $fewer->sounds !== []) <x-fewer-hands :page="$page" :fewer="$fewer" /> @endif
        @php $without = $controls->withoutHand(); @endphp
        @if ($without !== '') <p class="quiet">Passed by what has to be heard in {{ $page->situation->name }}, and moved by no control: {{
            $without }}.</p> @endif
        @if ($controls->chosen === null && $controls->offered() !== null)
            <section id="try" aria-labelledby="try-title"><h3 id="try-title">What a plain fader or switch does</h3>
                <form class="hand-form" method="get" action="{{ $page->url([]) }}#try">
                    <input type="hidden" name="situation" value="{{ $page->situation->id }}">
                    <label>Settings of <select class="form-select form-select-sm" name="of">@foreach ($controls->units() as $unit)
                        <option value="{{ $unit->id }}" @selected($unit === $controls->offered())>{{ $unit->name }}</option>
                        @endforeach</select></label>
                    <label>Setting <select class="form-select form-select-sm" name="try"><option value="">choose</option>
                        @foreach ($controls->movable() as $slot => $words) <option value="{{ $slot }}" @selected($page->asked('try') ===
                        $slot)>{{ $words }}</option> @endforeach</select></label>
                    <button class="do" type="submit">Show</button></form>
                @php $tried = $controls->tried(); @endphp
                @if ($tried !== null) <div class="hand-does"><x-hand-does :page="$page" :controls="$controls" :control="$tried"
                    :own="false" /></div> @endif
                @if ($page->canEdit) <x-edit :page="$page" class="hand-form" :fields="['edit' => 'controls-of',
                    'unit' => $controls->offered()->id]"><button class="do" type="submit">Enter every fader of {{
                    $controls->offered()->name }}</button></x-edit> @endif
            </section>
        @endif
        @if ($page->canEdit)
            <section aria-labelledby="new-control"><h3 id="new-control">New control</h3>
                <x-edit :page="$page" class="hand-form" :fields="['edit' => 'control']"><x-control-fields :page="$page" /><button
                    class="btn btn-sm btn-ink" type="submit">Add</button></x-edit></section>
        @endif
    </div>
</x-rig-frame>

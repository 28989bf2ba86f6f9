@php
    use HiddenWire\Core\Quantity\Bounds;
    use HiddenWire\Core\Rig\ControlKind;
    use HiddenWire\Core\Rig\Gesture;
    use HiddenWire\Core\Rig\Law;
@endphp
<x-rig-frame :page="$page">
    <div class="page controls-page">
        <h2>Controls <small>what hands move, and for whom what changes in {{ $page->situation->name }}</small></h2>
        @if ($page->rig->controls === []) <p class="quiet">No control is entered yet: a fader, a knob, a key, a pad, a foot switch or a
            keyboard shortcut. Say what it moves, and its reach is worked out.</p> @endif
        @foreach ($controls->surfaces() as $surface => $list)
            <section class="surface" aria-label="{{ $surface }}">
                <h3>{{ $surface }}</h3>
                <ul class="hands">
                    @foreach ($list as $control)
                        <li id="control-{{ $control->id }}" data-key="control-{{ $control->id }}" @class(['is-chosen' => $control === $controls->chosen])>
                            <x-hand :control="$control" />
                            <div class="hand-does">
                                <p class="hand-name"><strong>{{ $control->name }}</strong> <span class="quiet">{{ $control->kind->words()
                                    }}{{ $control->isLearned ? ', seen on the real one' : '' }}</span> @if ($page->canEdit && $control !==
                                    $controls->chosen) <a href="{{ $page->url(['control' => $control->id]) }}#control-{{ $control->id }}">Change<span
                                    class="visually-hidden"> {{ $control->name }}</span></a> @endif</p>
                                @if ($controls->trouble($control) !== '') <p class="trouble">{{ $controls->trouble($control) }}</p> @endif
                                <ul class="hand-moves">
                                    @foreach ($controls->moves($control) as $move)
                                        <li>{{ $move['words'] }}@if ($move['shared'] !== '') <small class="quiet">also moved by {{ $move['shared']
                                            }}</small>@endif @if ($page->canEdit && $control === $controls->chosen) <x-edit :page="$page"
                                            :fields="['edit' => 'control-unmove', 'control' => $control->id, 'what' => $move['slot'],
                                            'by' => $move['by']]"><button class="do" type="submit">Remove<span class="visually-hidden">:
                                            {{ $move['words'] }}</span></button></x-edit> @endif</li>
                                    @endforeach
                                    @if ($control->moves === []) <li class="quiet">moves nothing yet</li> @endif
                                </ul>
                                @if ($controls->goesTo($control) !== null)
                                    <p class="hand-reach">{{ ucfirst($controls->sum($control)) }}. <a href="{{
                                        $page->url(['compare' => $controls->goesTo($control)], 'situations') }}">What is otherwise</a></p>
                                @elseif ($control->moves !== [] && $controls->isHeard($control))
                                    @php $reach = $controls->reach($control); @endphp
                                    @if ($reach === []) <p class="hand-reach quiet">Changes nothing that anybody hears in {{ $page->situation->name
                                        }}.</p> @else
                                    <table class="hand-reach"><tbody>@foreach ($reach as $row)
                                        <tr><th scope="row">{{ $row['sound'] }} @if ($row['when'] !== '') <small>{{ $row['when'] }}</small>
                                            @endif</th><td>@foreach ($row['at'] as $says => $at) <span class="hand-at">@foreach ($at as $listener => $url)
                                            <a href="{{ $url }}">{{ $listener }}</a> @endforeach <span class="figures">{{ $says
                                            }}</span></span> @endforeach @if ($row['not'] !== '') <small class="quiet">not {{ $row['not']
                                            }}</small> @endif</td></tr>
                                    @endforeach</tbody></table> @endif
                                @elseif ($control->moves !== []) <p><a href="{{ $page->url(['control' => $control->id]) }}">What it does</a></p>
                                @endif
                                @if ($control === $controls->chosen && $page->canEdit)
                                    <x-edit :page="$page" class="hand-form" :fields="['edit' => 'control', 'control' => $control->id]">
                                        <x-control-fields :page="$page" :control="$control" /><button class="btn btn-sm btn-ink"
                                            type="submit">Save</button></x-edit>
                                    <form class="hand-form" method="get" action="{{ $page->url([]) }}">
                                        <input type="hidden" name="control" value="{{ $control->id }}">
                                        <label>Settings of <select class="form-select form-select-sm" name="of" data-auto>
                                            @foreach ($controls->units() as $unit) <option value="{{ $unit->id }}"
                                            @selected($unit === $controls->offered())>{{ $unit->name }}</option> @endforeach</select></label>
                                        <button class="do" type="submit">Show</button></form>
                                    <x-edit :page="$page" class="hand-form" :fields="['edit' => 'control-move', 'control' => $control->id]">
                                        <label>It moves <select class="form-select form-select-sm" name="what">
                                            @foreach ($controls->movable() as $slot => $words) <option value="{{ $slot }}">{{ $words }}</option> @endforeach</select></label>
                                        <label>from <input class="form-control form-control-sm" name="from" maxlength="40" size="6"
                                            placeholder="lowest"></label>
                                        <label>to <input class="form-control form-control-sm" name="to" maxlength="40" size="6"
                                            placeholder="highest"></label>
                                        <label>how <select class="form-select form-select-sm" name="law"><option value="">as usual</option>
                                            @foreach (Law::cases() as $law) <option value="{{ $law->value }}">{{ $law->words() }}</option>
                                            @endforeach</select></label>
                                        <label>when <select class="form-select form-select-sm" name="by"><option value="">{{
                                            $control->kind->isTurned() ? 'moved' : 'pressed' }}</option>@foreach (Gesture::cases() as $by)
                                            <option value="{{ $by->value }}">{{ $by->words() }}</option> @endforeach</select></label>
                                        <label>while held <select class="form-select form-select-sm" name="with"><option value="">nothing</option>
                                            @foreach ($page->rig->controls as $other) @if ($other !== $control) <option
                                            value="{{ $other->id }}">{{ $other->name }}</option> @endif @endforeach</select></label>
                                        <button class="btn btn-sm btn-ink" type="submit">Add</button></x-edit>
                                    <x-edit :page="$page" :fields="['edit' => 'remove-control', 'control' => $control->id]"><button class="do"
                                        type="submit">Remove {{ $control->name }}</button></x-edit>
                                @endif
                            </div>
                        </li>
                    @endforeach
                </ul>
            </section>
        @endforeach
        @if ($page->canEdit)
            <section aria-labelledby="new-control"><h3 id="new-control">New control</h3>
                <x-edit :page="$page" class="hand-form" :fields="['edit' => 'control']"><x-control-fields :page="$page" /><button
                    class="btn btn-sm btn-ink" type="submit">Add</button></x-edit></section>
        @endif
    </div>
</x-rig-frame>

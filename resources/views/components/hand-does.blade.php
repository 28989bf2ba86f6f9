@props(['page', 'controls', 'control', 'own' => true])
{{-- What a control moves, and for whom what changes by it. --}}
<p class="hand-name"><strong>{{ $control->name }}</strong> <span class="quiet">{{ $control->kind->words() }}{{ $control->isLearned
    ? ', seen on the real one' : '' }}</span> @if ($own && $page->canEdit && $control !== $controls->chosen) <a
    href="{{ $page->url(['control' => $control->id]) }}#control-{{ $control->id }}">Change<span class="visually-hidden"> {{
    $control->name }}</span></a> @endif</p>
@if ($controls->trouble($control) !== '') <p class="trouble">{{ $controls->trouble($control) }}</p> @endif
@if ($control->isAssigned && count($control->moves) > 1) <p class="quiet">One of these at a time:</p> @endif
<ul class="hand-moves">
    @foreach ($controls->moves($control) as $move)
        <li>{{ $move['words'] }} @if ($control->isAssigned && $move['isNow']) <strong>now</strong> @endif
            @if ($move['shared'] !== '') <small class="quiet">also moved by {{ $move['shared'] }}</small> @endif
            @if ($page->canEdit && $control->isAssigned && ! $move['isNow'] && $own) <x-edit :page="$page" :fields="['edit' =>
                'control-assign', 'control' => $control->id, 'what' => $move['slot']]"><button class="do" type="submit">Assign<span
                class="visually-hidden">: {{ $move['words'] }}</span></button></x-edit> @endif
            @if ($page->canEdit && $control === $controls->chosen) <x-edit :page="$page" :fields="['edit' => 'control-unmove',
                'control' => $control->id, 'what' => $move['slot'], 'by' => $move['by']]"><button class="do" type="submit">Remove<span
                class="visually-hidden">: {{ $move['words'] }}</span></button></x-edit> @endif</li>
    @endforeach
    @if ($control->moves === []) <li class="quiet">moves nothing yet</li> @endif
</ul>
@if ($controls->goesTo($control) !== null)
    <p class="hand-reach">{{ ucfirst($controls->sum($control)) }}. <a href="{{ $page->url(['against' => $controls->goesTo($control)],
        'situations') }}">What is otherwise</a></p>
@elseif ($own && $control->moves !== [] && ! $controls->isHeard($control))
    <p><a href="{{ $page->url(['control' => $control->id]) }}">What it does</a></p>
@elseif ($control->moves !== [])
    @php $reach = $controls->reach($control); @endphp
    @if ($reach === []) <p class="hand-reach quiet">Changes nothing that anybody hears in {{ $page->situation->name }}.</p> @else
    <table class="hand-reach"><tbody>
        @foreach ($reach as $row)
            <tr><th scope="row">{{ $row['sound'] }} @if ($row['when'] !== '') <small>{{ $row['when'] }}</small> @endif</th>
                <td>@foreach ($row['at'] as $says => $at) <span class="hand-at">@foreach ($at as $listener => $url) <a
                    href="{{ $url }}">{{ $listener }}</a> @endforeach <span class="figures">{{ $says }}</span></span> @endforeach
                    @if ($row['not'] !== '') <small class="quiet">not {{ $row['not'] }}</small> @endif</td></tr>
        @endforeach
    </tbody></table> @endif
@endif

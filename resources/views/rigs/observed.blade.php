@php use HiddenWire\Core\Quantity\Count; @endphp
<x-rig-frame :page="$page">
    <div class="page observed-page">
        <div class="recipes-head">
            <h2>{{ $seen->computer->name }}: its list against the plan</h2>
            <a href="{{ $page->url(['select' => "unit:{$seen->computer->id}"], 'computers') }}">Back to Computers</a>
        </div>
        <form class="observed-form" method="post" action="{{ route('rigs.observed', [$page->record, $seen->computer->id]) }}">@csrf
            <label for="observed-list">The list as the computer has it: a table with the columns name and direction (default, rate, bits and
                enabled, where they are known), or the names below the lines “Playback” and “Recording”</label>
            <textarea class="form-control" id="observed-list" name="list" rows="9" spellcheck="false" required>{{ $seen->text }}</textarea>
            <button class="btn btn-sm btn-ink" type="submit">Compare</button>
        </form>
        <p><a href="{{ $seen->simulatedUrl }}">Try it with the list of a simulated computer after an update</a></p>
        @if ($seen->trouble !== '') <p class="trouble" role="alert">{{ $seen->trouble }}</p> @endif
        @php $untold = $seen->untold(); @endphp
        @if ($untold !== [])
            <section aria-labelledby="untold-title">
                <h3 id="untold-title">Say what these lines are</h3>
                <form class="observed-tells" method="post" action="{{ route('rigs.observed', [$page->record, $seen->computer->id]) }}">@csrf
                    <input type="hidden" name="list" value="{{ $seen->text }}">
                    <table class="facts"><tbody>@foreach ($untold as $place => $one)
                        <tr><th scope="row"><code>{{ $one['line'] }}</code></th>
                            <td><select class="form-select form-select-sm" name="tells[{{ $place }}][as]"
                                aria-label="What line {{ $place + 1 }} is"><option value="">no device</option><option
                                value="playback">playback</option><option value="recording">recording</option></select></td>
                            <td><input class="form-control form-control-sm" name="tells[{{ $place }}][name]" value="{{ $one['name'] }}"
                                maxlength="{{ Bounds::NAME }}" aria-label="Name in line {{ $place + 1 }}"></td></tr>
                    @endforeach</tbody></table>
                    <button class="btn btn-sm btn-ink" type="submit">Compare these</button>
                </form>
            </section>
        @endif
        @if ($seen->observed !== null)
            <section aria-labelledby="observed-title">
                <h3 id="observed-title">{{ $seen->observed->differences === [] ? 'All as planned'
                    : Count::of(count($seen->observed->differences), 'difference') }}</h3>
                <p class="quiet">{{ Count::of($seen->observed->found, 'device') }} found as planned.@if ($seen->passedOver !== [])
                    Passed over: {{ implode('; ', array_slice($seen->passedOver, 0, 8)) }}.@endif</p>
                @if ($seen->faultsUrl() !== null) <p><a href="{{ $seen->faultsUrl() }}">Look for a fault with this
                    known</a></p> @endif
                <ul class="observed-list">
                    @foreach ($seen->observed->differences as $difference)
                        <li><strong>{{ $difference->sentence }}</strong><span>{{ $difference->mend }}</span>
                            @if ($page->canEdit && $difference->takeOver !== null) <x-edit :page="$page" :fields="['edit' => 'observed',
                                'computer' => $seen->computer->id, 'list' => $seen->text, 'difference' => $difference->key(),
                                'situation' => '']"><button class="do" type="submit">Take over into the plan<span
                                class="visually-hidden">: {{ $difference->sentence }}</span></button></x-edit> @endif</li>
                    @endforeach
                </ul>
                @if ($page->canEdit && $seen->toTake() > 1) <x-edit :page="$page" :fields="['edit' => 'observed',
                    'computer' => $seen->computer->id, 'list' => $seen->text, 'situation' => '']"><button class="do" type="submit">Take all
                    {{ $seen->toTake() }} over</button></x-edit> @endif
            </section>
        @endif
    </div>
</x-rig-frame>

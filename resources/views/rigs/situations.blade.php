@php
    use HiddenWire\Core\Rig\Want;
    use HiddenWire\Core\Signal\Verdict;
@endphp
<x-rig-frame :page="$page">
    <x-slot:tools>
        <x-edit :page="$page" class="row-form situation-new" :fields="['edit' => 'add-situation', 'situation' => '']">
            <input name="name" maxlength="{{ Bounds::SHORT_NAME }}" required placeholder="New situation"
                aria-label="Name of the new situation">
            @if (count($table->situations) > 1)
                <select name="copy_of" aria-label="What the new situation begins as"><option
                    value="">like the default</option>@foreach (array_slice($table->situations, 1) as $one)
                    <option value="{{ $one->id }}">copy of {{ $one->name }}</option> @endforeach</select>
            @endif
            <button class="do" type="submit">Add the situation</button>
        </x-edit>
    </x-slot:tools>
    <div class="situations-page">
        <section class="situation-tables" aria-label="Situations side by side" tabindex="0">
            @if ($table->groups === []) <p class="quiet">{{ count($table->situations) === 1
                ? 'One situation so far: the default. Name a second one above and choose it at the top: what you change applies there only.'
                : 'Nothing differs yet. Choose a situation at the top, and what you change in any view applies there only.' }}</p> @else
            <table class="settings-table">
                <thead><tr><th scope="col" colspan="3">Settings</th>
                    @foreach ($table->situations as $one) <th scope="col"><a href="{{ $page->url(['situation' => $one->id,
                        'against' => null]) }}" @if ($one === $page->situation) aria-current="true" @endif>{{ $one->name
                        }}</a><small>{{ $table->says($one) }}</small></th> @endforeach</tr></thead>
                @foreach ($table->groups as $group)
                    <tbody>
                        @foreach ($group['rows'] as $line)
                            @php $of = $line['row']->of; @endphp
                            <tr>
                                @if ($loop->first) <th scope="rowgroup" rowspan="{{ count($group['rows']) }}"
                                    title="{{ $group['place'] }}">{{ $group['unit']->name ?? 'Cables' }}</th> @endif
                                <th scope="row">{{ $of->what() }}</th>
                                <td class="aspect">{{ $of->aspect() }}</td>
                                @foreach ($table->situations as $one)
                                    @php $cell = $line['cells'][$one->id]; @endphp
                                    @if ($loop->first) <td class="usual">{{ $cell->stands }}</td> @else
                                    <td @class(['own' => $cell->isOwn])><x-situation-cell :page="$page" :cell="$cell"
                                        label="{{ trim($of->what().' '.$of->aspect()) ?: $group['unit']->name }} in {{ $one->name }}"
                                        :url="$table->computerUrl($line['row'], $one->id)" /></td> @endif
                                @endforeach
                            </tr>
                        @endforeach
                    </tbody>
                @endforeach
            </table>
            @endif
            @if ($table->wishRows !== [])
                <table class="wish-differences">
                    <thead>
                        <tr><td></td>@foreach ($table->wishColumns as $id => $listeners)
                            <th scope="colgroup" colspan="{{ count($listeners) }}">{{ $page->rig->situations[$id]->name }}</th>
                            @endforeach</tr>
                        <tr><th scope="col">Wishes</th>@foreach ($table->wishColumns as $listeners) @foreach ($listeners as $listener)
                            <th scope="col" @class(['first' => $loop->first])>{{ $listener->name }}</th> @endforeach @endforeach</tr>
                    </thead>
                    <tbody>
                        @foreach ($table->wishRows as $row)
                            <tr><th scope="row">{{ $row['source']->name }}</th>
                                @foreach ($table->wishColumns as $id => $listeners)
                                    @foreach ($listeners as $listener)
                                        @php
                                            $wish = $row['cells'][$id][$listener->id] ?? null;
                                            $where = "{$row['source']->name} at {$listener->name} in {$page->rig->situations[$id]->name}";
                                            $words = App\ViewModels\WayStrip::wished($wish);
                                        @endphp
                                        <td @class(['own' => $wish !== null, 'first' => $loop->first])><a class="cell-button"
                                            href="{{ $page->url(['situation' => $id, 'pair' => "{$row['source']->id}:{$listener->id}",
                                            'scope' => 'here', 'against' => null], 'wishes') }}" title="{{ $where }}{{ $words === '' ? ''
                                            : ": {$words}" }}"><span class="visually-hidden">{{ $where }}: {{ $words ?: 'as in the default'
                                            }}</span>@if ($wish?->want === Want::May) <span aria-hidden="true">may</span> @elseif ($wish
                                            !== null) <x-verdict :verdict="Verdict::Ok" :silent="$wish->want === Want::MustNot" /> @endif
                                            @if ($wish !== null && $wish->marks() !== [])
                                            <small aria-hidden="true">{{ implode(', ', $wish->marks()) }}</small> @endif</a></td>
                                    @endforeach
                                @endforeach
                            </tr>
                        @endforeach
                    </tbody>
                </table>
                <p class="quiet wish-legend"><x-verdict :verdict="Verdict::Ok" silent /> must not
                    <x-verdict :verdict="Verdict::Ok" /> must <span>may: may hear</span>
                    <span>empty: as in {{ $page->rig->base()->name }}</span></p>
            @endif
        </section>
        <aside class="odds-list situation-side" aria-label="Between two situations">
            @if ($table->difference !== null)
                <h2>Changes from one to the other</h2>
                <table class="distances">
                    <tbody>
                        @foreach ($table->situations as $i => $to)
                            <tr>@foreach (array_slice($table->situations, 0, $i) as $from)
                                <td><a href="{{ $page->url(['situation' => $to->id, 'against' => $from->id]) }}"
                                    @if ($table->isPair($from, $to)) aria-current="true" @endif><span
                                    class="visually-hidden">{{ $from->name }} to {{ $to->name }}: </span>{{
                                    $table->distances[$from->id][$to->id] }}</a></td>
                            @endforeach<th scope="row" colspan="{{ count($table->situations) - $i }}">{{ $to->name }}</th></tr>
                        @endforeach
                    </tbody>
                </table>
                <div class="pair-head"><h2>{{ $table->pairTitle() }}</h2><a class="do" href="{{ $page->url(['situation' =>
                    $table->from()->id, 'against' => $table->to()->id]) }}">Reverse</a></div>
                @foreach ($table->steps as $group)
                    <h3>{{ $group['name'] }} <small>{{ $group['place'] }}</small></h3>
                    <dl class="steps">@foreach ($group['rows'] as $row) <div><dt>{{ $row['what'] }}</dt><dd>{{ $row['stands'] }}</dd></div>
                        @endforeach</dl>
                @endforeach
                <h2>Who hears a difference</h2>
                @if ($table->heard === []) <p class="quiet">Nobody.</p> @else
                    <dl class="hearers">@foreach ($table->heard as $one) <div><dt>{{ $one['listener']->name }}</dt><dd>{{ $one['says']
                        }}</dd></div> @endforeach</dl>
                    <details class="sound-by-sound" data-keep><summary>Sound by sound</summary>
                        <ul class="heard-changes">@foreach ($table->heard as $one) @foreach ($one['pairs'] as $pair)
                            <li><a href="{{ $page->url(['pair' => "{$pair['after']->source->id}:{$pair['after']->listener->id}"],
                                'wishes') }}"><x-heard-change :before="$pair['before']" :after="$pair['after']" /></a></li>
                        @endforeach @endforeach</ul>
                    </details>
                @endif
            @endif
            @if ($page->canEdit)
                @php $shown = $page->situation; $isBase = $page->rig->isBase($shown->id); @endphp
                <h2>{{ $shown->name }}</h2>
                <x-edit :page="$page" class="row-form" :fields="['edit' => 'rename', 'thing' => 'situations', 'id' => $shown->id]"><input
                    name="name" maxlength="{{ Bounds::SHORT_NAME }}" required value="{{ $shown->name }}"
                    aria-label="Name of {{ $shown->name }}"><button class="do" type="submit">Rename</button></x-edit>
                @if (! $isBase)
                    <x-edit :page="$page" class="row-form" :fields="['edit' => 'absent', 'which' => $shown->id]"><select name="unit"
                        required aria-label="What is not there in {{ $shown->name }}"><option
                        value="">not there, or not running …</option>@foreach ($table->present() as $unit)
                        <option value="{{ $unit->id }}">{{ $unit->name }}</option> @endforeach</select><button class="do"
                        type="submit">Leave out</button></x-edit>
                    <x-edit :page="$page" class="row-form" :fields="['edit' => 'pulled', 'which' => $shown->id]"><select name="cable"
                        required aria-label="Which cable is out in {{ $shown->name }}"><option
                        value="">cable out …</option>@foreach ($table->plugged() as $id => $label)
                        <option value="{{ $id }}">{{ $label }}</option> @endforeach</select><button class="do"
                        type="submit">Pull</button></x-edit>
                    <div class="situation-tools">
                        @if (count($shown->changes) > 1)
                            <x-edit :page="$page" :fields="['edit' => 'clear-change', 'which' => $shown->id]"><button class="do"
                                type="submit">Reset all to the default<span class="visually-hidden">
                                of {{ $shown->name }}</span></button></x-edit> @endif
                        <x-edit :page="$page" :fields="['edit' => 'remove-situation', 'which' => $shown->id]"><button class="do"
                            type="submit">Remove<span class="visually-hidden"> {{ $shown->name }}</span></button></x-edit>
                    </div>
                @endif
            @endif
        </aside>
    </div>
</x-rig-frame>

@php
    use HiddenWire\Core\Rig\Pick;
    use HiddenWire\Core\Rig\PointRef;
    $base = $page->rig->base()->id;
@endphp
<x-rig-frame :page="$page">
    <div class="page situations-page">
        <section aria-labelledby="situations-title">
            <h2 id="situations-title">Situations</h2>
            <p class="quiet">The first is the base. Every other says what it sets otherwise: switch to it at the top, work in any view, and what you set holds there only.</p>
            @foreach ($page->rig->situations as $situation)
                <article class="situation @if ($situation === $page->situation) shown @endif">
                    <h3>{{ $situation->name }} @if ($situation->id === $base) <span class="tag">base</span> @endif @if ($situation === $page->situation) <span class="tag">shown</span> @endif</h3>
                    <ul class="overrides">
                        @foreach ($situation->changes as $change)
                            @php
                                $unit = $page->rig->units[$change->at->unit];
                                $model = $page->rig->modelOf($unit);
                                $route = $change->at instanceof PointRef ? null : $model->routes[$change->at->key];
                                $what = $route === null ? $page->rig->point($change->at)->label : "{$model->points[$route->from]->label} → {$model->points[$route->to]->label}";
                                $says = ($change->set instanceof Pick ? 'uses ' : '').$change->set->words();
                            @endphp
                            <li><span>{{ $unit->name }}: {{ $what }} <strong>{{ $says }}</strong></span>
                                <x-edit :page="$page" :fields="['edit' => 'clear-change', 'which' => $situation->id, 'at' => (string) $change->at, 'is_pick' => $change->set instanceof Pick ? '1' : '0']"><button class="do" type="submit">As in the base<span class="visually-hidden">: {{ $unit->name }} {{ $what }}</span></button></x-edit></li>
                        @endforeach
                        @if ($situation->changes === []) <li class="quiet">{{ $situation->id === $base ? 'how everything stands' : 'sets nothing otherwise yet' }}</li> @endif
                    </ul>
                    <div class="situation-tools">
                        @if ($situation !== $page->situation) <a href="{{ $page->url(['situation' => $situation->id]) }}">Work in it</a> @endif
                        <x-edit :page="$page" class="row-form" :fields="['edit' => 'rename', 'thing' => 'situations', 'id' => $situation->id]"><input name="name" maxlength="60" required value="{{ $situation->name }}" aria-label="Name of {{ $situation->name }}"><button class="do" type="submit">Rename</button></x-edit>
                        @if ($situation->id !== $base)
                            @if (count($situation->changes) > 1) <x-edit :page="$page" :fields="['edit' => 'clear-change', 'which' => $situation->id]"><button class="do" type="submit">Clear all<span class="visually-hidden"> of {{ $situation->name }}</span></button></x-edit> @endif
                            <x-edit :page="$page" :fields="['edit' => 'remove-situation', 'which' => $situation->id]"><button class="do" type="submit">Remove<span class="visually-hidden"> {{ $situation->name }}</span></button></x-edit>
                        @endif
                    </div>
                </article>
            @endforeach
            <x-edit :page="$page" class="row-form situation-new" :fields="['edit' => 'add-situation', 'situation' => '']">
                <input name="name" maxlength="60" required placeholder="New situation" aria-label="Name of the new situation">
                <select name="copy_of" aria-label="What the new situation begins as"><option value="">like the base</option>@foreach ($page->rig->situations as $situation) @if ($situation->id !== $base) <option value="{{ $situation->id }}">copy of {{ $situation->name }}</option> @endif @endforeach</select>
                <button class="do" type="submit">Add the situation</button>
            </x-edit>
        </section>
        @if (count($page->rig->situations) > 1)
            <section class="odds-list" aria-labelledby="difference-title">
                <h2 id="difference-title">Difference of two</h2>
                <p class="lead-line">What changes to {{ $page->situation->name }}, coming from</p>
                <x-against :page="$page" />
            </section>
        @endif
    </div>
</x-rig-frame>

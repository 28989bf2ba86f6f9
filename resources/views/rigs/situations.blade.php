@php
    use HiddenWire\Core\Rig\Pick;
    use HiddenWire\Core\Rig\PointRef;
    $base = $page->rig->base()->id;
@endphp
<x-rig-frame :page="$page">
    <div class="page situations-page">
        <section aria-labelledby="situations-title">
            <h2 id="situations-title">Situations</h2>
            <p class="quiet">The first is the base. Every other lists what differs from it: choose it at the top, work in any view, and what you change applies there only.</p>
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
                                $says = $change->set instanceof Pick ? 'uses '.$change->set->words($page->names) : $change->set->words();
                            @endphp
                            <li><span>{{ $unit->name }}: {{ $what }} <strong>{{ $says }}</strong></span>
                                <x-edit :page="$page" :fields="['edit' => 'clear-change', 'which' => $situation->id, 'at' => (string) $change->at, 'is_pick' => $change->set instanceof Pick ? '1' : '0']"><button class="do" type="submit">Reset to base<span class="visually-hidden">: {{ $unit->name }} {{ $what }}</span></button></x-edit></li>
                        @endforeach
                        @foreach ($situation->absent as $id)
                            @php $unit = $page->rig->units[$id]; @endphp
                            <li><span>{{ $unit->name }} <strong>{{ $page->rig->modelOf($unit)->isProgram() ? 'does not run' : 'is not there' }}</strong></span>
                                <x-edit :page="$page" :fields="['edit' => 'absent', 'which' => $situation->id, 'unit' => $id, 'back' => '1']"><button class="do" type="submit">Reset to base<span class="visually-hidden">: {{ $unit->name }}</span></button></x-edit></li>
                        @endforeach
                        @foreach ($situation->pulled as $id)
                            <li><span>{{ $page->rig->cables[$id]->label }} <strong>is out</strong></span>
                                <x-edit :page="$page" :fields="['edit' => 'pulled', 'which' => $situation->id, 'cable' => $id, 'back' => '1']"><button class="do" type="submit">Reset to base<span class="visually-hidden">: {{ $page->rig->cables[$id]->label }}</span></button></x-edit></li>
                        @endforeach
                        @foreach ($situation->defaults as $default)
                            <li><span>{{ $default->words($page->rig) }}</span>
                                <x-edit :page="$page" :fields="['edit' => 'default', 'situation' => $situation->id, 'computer' => $default->computer, 'direction' => $default->direction->value, 'role' => $default->role->value]"><button class="do" type="submit">Reset to base<span class="visually-hidden">: {{ $default->what() }}</span></button></x-edit></li>
                        @endforeach
                        @foreach ($page->wishesOf($situation) as [$wish, $says])
                            <li><span>{{ $says }}</span>
                                <x-edit :page="$page" :fields="['edit' => 'wish', 'source' => $wish->source, 'listener' => $wish->listener, 'want' => 'none', 'situation' => $situation->id]"><button class="do" type="submit">Reset to base<span class="visually-hidden">: {{ $says }}</span></button></x-edit></li>
                        @endforeach
                        @if ($situation->isLikeBase() && $page->wishesOf($situation) === []) <li class="quiet">{{ $situation->id === $base ? 'the base state' : 'changes nothing yet' }}</li> @endif
                    </ul>
                    @if ($situation->id !== $base)
                        <div class="situation-tools leave-out">
                            <x-edit :page="$page" class="row-form" :fields="['edit' => 'absent', 'which' => $situation->id]"><select name="unit" required aria-label="What is not there in {{ $situation->name }}"><option value="">not there, or not running …</option>@foreach ($page->rig->units as $unit) @if (! in_array($unit->id, $situation->absent, true)) <option value="{{ $unit->id }}">{{ $unit->name }}</option> @endif @endforeach</select><button class="do" type="submit">Leave out</button></x-edit>
                            <x-edit :page="$page" class="row-form" :fields="['edit' => 'pulled', 'which' => $situation->id]"><select name="cable" required aria-label="Which cable is out in {{ $situation->name }}"><option value="">cable out …</option>@foreach ($page->rig->cables as $cable) @if (! in_array($cable->id, $situation->pulled, true)) <option value="{{ $cable->id }}">{{ $cable->label }}</option> @endif @endforeach</select><button class="do" type="submit">Pull</button></x-edit>
                        </div>
                    @endif
                    <div class="situation-tools">
                        @if ($situation !== $page->situation) <a href="{{ $page->url(['situation' => $situation->id]) }}">Work in it</a> @endif
                        <x-edit :page="$page" class="row-form" :fields="['edit' => 'rename', 'thing' => 'situations', 'id' => $situation->id]"><input name="name" maxlength="{{ Bounds::SHORT_NAME }}" required value="{{ $situation->name }}" aria-label="Name of {{ $situation->name }}"><button class="do" type="submit">Rename</button></x-edit>
                        @if ($situation->id !== $base)
                            @if (count($situation->changes) > 1) <x-edit :page="$page" :fields="['edit' => 'clear-change', 'which' => $situation->id]"><button class="do" type="submit">Reset all to base<span class="visually-hidden"> of {{ $situation->name }}</span></button></x-edit> @endif
                            <x-edit :page="$page" :fields="['edit' => 'remove-situation', 'which' => $situation->id]"><button class="do" type="submit">Remove<span class="visually-hidden"> {{ $situation->name }}</span></button></x-edit>
                        @endif
                    </div>
                </article>
            @endforeach
            <x-edit :page="$page" class="row-form situation-new" :fields="['edit' => 'add-situation', 'situation' => '']">
                <input name="name" maxlength="{{ Bounds::SHORT_NAME }}" required placeholder="New situation" aria-label="Name of the new situation">
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

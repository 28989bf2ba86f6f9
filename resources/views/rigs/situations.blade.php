<x-rig-frame :page="$page">
    <div class="page situations-page">
        <section aria-labelledby="situations-title">
            <h2 id="situations-title">Situations</h2>
            <p class="quiet">The first is the default. Each other lists what differs from it:
                choose it at the top, work in any view, and what you change applies there only.</p>
            @foreach ($cards as $card)
                @php $situation = $card->situation; @endphp
                <article class="situation @if ($card->isShown) shown @endif">
                    <h3>{{ $situation->name }} @if ($card->isBase) <span class="tag">default</span> @endif @if ($card->isShown)
                        <span class="tag">shown</span> @endif</h3>
                    <ul class="overrides">
                        @forelse ($card->lines as $line)
                            <li><span>{{ $line['what'] }} @if ($line['says'] !== '')<strong>{{ $line['says'] }}</strong>@endif</span>
                                <x-edit :page="$page" :fields="$line['fields']"><button class="do"
                                    type="submit">Reset to the default<span class="visually-hidden">:
                                    {{ $line['what'] }}</span></button></x-edit></li>
                        @empty <li class="quiet">{{ $card->isBase ? 'no differences' : 'changes nothing yet' }}</li> @endforelse
                    </ul>
                    @if (! $card->isBase)
                        <div class="situation-tools leave-out">
                            <x-edit :page="$page" class="row-form"
                                :fields="['edit' => 'absent', 'which' => $situation->id]"><select name="unit" required
                                aria-label="What is not there in {{ $situation->name }}"><option
                                value="">not there, or not running …</option>@foreach ($card->present() as $unit)
                                <option value="{{ $unit->id }}">{{ $unit->name }}</option> @endforeach</select><button class="do"
                                type="submit">Remove</button></x-edit>
                            <x-edit :page="$page" class="row-form"
                                :fields="['edit' => 'pulled', 'which' => $situation->id]"><select name="cable" required
                                aria-label="Which cable is out in {{ $situation->name }}"><option
                                value="">cable out …</option>@foreach ($card->plugged() as $id => $label)
                                <option value="{{ $id }}">{{ $label }}</option> @endforeach</select><button class="do"
                                type="submit">Pull</button></x-edit>
                        </div>
                    @endif
                    <div class="situation-tools">
                        @if (! $card->isShown) <a href="{{ $page->url(['situation' => $situation->id]) }}">Work in it</a> @endif
                        <x-edit :page="$page" class="row-form"
                            :fields="['edit' => 'rename', 'thing' => 'situations', 'id' => $situation->id]"><input name="name"
                            maxlength="{{ Bounds::SHORT_NAME }}" required value="{{ $situation->name }}"
                            aria-label="Name of {{ $situation->name }}"><button class="do" type="submit">Rename</button></x-edit>
                        @if (! $card->isBase)
                            @if ($card->canReset())
                                <x-edit :page="$page" :fields="['edit' => 'clear-change', 'which' => $situation->id]"><button class="do"
                                type="submit">Reset all to the default<span class="visually-hidden">
                                of {{ $situation->name }}</span></button></x-edit> @endif
                            <x-edit :page="$page" :fields="['edit' => 'remove-situation', 'which' => $situation->id]"><button class="do"
                                type="submit">Remove<span class="visually-hidden"> {{ $situation->name }}</span></button></x-edit>
                        @endif
                    </div>
                </article>
            @endforeach
            <x-edit :page="$page" class="row-form situation-new" :fields="['edit' => 'add-situation', 'situation' => '']">
                <input name="name" maxlength="{{ Bounds::SHORT_NAME }}" required placeholder="New situation"
                    aria-label="Name of the new situation">
                <select name="copy_of" aria-label="What the new situation begins as"><option
                    value="">like the base</option>@foreach ($cards as $card) @if (! $card->isBase)
                    <option value="{{ $card->situation->id }}">copy of {{ $card->situation->name }}</option> @endif @endforeach</select>
                <button class="do" type="submit">Add the situation</button>
            </x-edit>
        </section>
        @if (count($cards) > 1)
            <section class="odds-list" aria-labelledby="difference-title">
                <h2 id="difference-title">Difference of two</h2>
                <p class="lead-line">What changes to {{ $page->situation->name }}, coming from</p>
                <x-against :page="$page" />
            </section>
        @endif
    </div>
</x-rig-frame>

@props(['page', 'balances'])
{{-- Listeners that have to hear the balance of others, compared sound by sound. --}}
<details class="stock-more balances" data-keep @if ($balances->all !== []) open @endif>
    <summary>Balance: {{ $balances->all === [] ? 'no wish' : 'the same as another listener' }}</summary>
    @foreach ($balances->all as $row)
        <article class="balance">
            <p><strong>{{ $row['words'] }}.</strong>
                @if ($row['compared']->offset === null) <span class="quiet">They have no sound in common now.</span>
                @elseif ($row['off'] === []) <span class="quiet">So it is.</span>
                @else <span class="says-muted">@foreach ($row['off'] as $sound => $off) {{ $sound }} is {{ $off }}.@endforeach</span>
                    @endif</p>
            <details class="stock-more" data-keep><summary>sound by sound</summary>
                <table class="facts"><thead><tr><th scope="col">Sound</th><th scope="col">{{ $row['here'] }}, dB</th><th
                    scope="col">{{ $row['there'] }}, dB</th><th scope="col">Off the balance, dB</th></tr></thead>
                    <tbody>@foreach ($row['compared']->rows as $line)
                        <tr><th scope="row">{{ $line['source']->name }}</th><td class="figures">{{ $line['here'] === null ? '—'
                        : number_format($line['here'], 1) }}</td><td class="figures">{{ $line['there'] === null ? '—'
                        : number_format($line['there'], 1) }}</td><td class="figures">{{ $line['off'] === null ? '—'
                        : number_format($line['off'], 1) }}</td></tr> @endforeach</tbody></table>
            </details>
            @if ($page->canEdit && $row['off'] !== [])
                <x-edit :page="$page" :fields="['edit' => 'rebalance', 'listener' => $row['balance']->listener,
                'like' => $row['balance']->like]"><button class="do"
                type="submit">Bring it into balance<span class="visually-hidden">: {{ $row['words'] }}</span></button></x-edit> @endif
            @if ($page->canEdit) <x-edit :page="$page"
                :fields="['edit' => 'balance', 'listener' => $row['balance']->listener, 'like' => $row['balance']->like, 'within_db' => '',
                'situation' => '']"><button class="do" type="submit">Take back<span class="visually-hidden">:
                {{ $row['words'] }}</span></button></x-edit> @endif
        </article>
    @endforeach
    @if ($page->canEdit && count($page->rig->listeners) > 1)
        <x-edit :page="$page" class="row-form" :fields="['edit' => 'balance', 'situation' => '']">
            <select name="listener" aria-label="Who has to hear the balance of another">@foreach ($page->rig->listeners as $one)
                <option value="{{ $one->id }}">{{ $one->name }}</option> @endforeach</select>
            <label>hears the balance of <select name="like"
                aria-label="Whose balance">@foreach (array_reverse($page->rig->listeners) as $one)
                <option value="{{ $one->id }}">{{ $one->name }}</option> @endforeach</select></label>
            <label>within <input type="number" name="within_db" required min="{{ Bounds::WITHIN_DB[0] }}" max="{{ Bounds::WITHIN_DB[1] }}"
                step="0.1" value="3" aria-label="Within so many dB"> dB</label>
            <button class="do" type="submit">Wish it</button>
        </x-edit>
    @endif
</details>

@props(['page', 'unit', 'chains'])
{{-- Chains of effects: each stage with what it does, for which mixes, and its place. --}}
@php use HiddenWire\Core\Quantity\Count; @endphp
@foreach ($chains->troubles as $trouble) <p class="form-trouble">{{ $trouble }}</p> @endforeach
<details class="stock-more chains" data-keep @if ($chains->count() > 0) open @endif>
    <summary>{{ $chains->count() === 0 ? 'Effects: none' : Count::of($chains->count(), 'effect') }}</summary>
    @foreach ($chains->all as $chain)
        @if ($chain['effects'] !== [])
            <h4>{{ $chain['point']->label }}</h4>
            <ol class="chain">
                @foreach ($chain['effects'] as $row)
                    @php
                        $effect = $row['effect'];
                        $name = "{$effect->label()} of {$chain['point']->label}";
                        $fields = ['unit' => $unit->id, 'effect' => $effect->id];
                    @endphp
                    <li class="effect @if (! $row['isOn']) bypassed @endif">
                        <span class="effect-head"><strong>{{ $effect->label() }}</strong>@if (! $row['isOn'])
                            <span class="says-muted">bypassed</span>@endif
                            @if ($effect->delay !== null) <span class="figures">{{ $effect->delay->text() }} ms</span>@endif
                                @if ($effect->db !== null) <span class="figures">{{ $effect->db->text() }} dB</span>@endif
                            @if ($row['says'] !== '') <span class="quiet">{{ $row['says'] }}</span>@endif
                            @if ($effect->offFor !== [])
                                <small class="quiet">not for {{ implode(' and ', array_map(fn ($into) => $chain['mixes'][$into] ?? $into,
                                $effect->offFor)) }}</small>@endif</span>
                        @if ($page->canEdit)
                            <span class="effect-tools">
                                <x-edit :page="$page"
                                    :fields="['edit' => 'switch-effect', ...$fields, 'on' => $row['isOn'] ? '0' : '1']"><button class="do"
                                    type="submit">{{ $row['isOn'] ? 'Bypass' : 'Switch on' }}<span class="visually-hidden">
                                    {{ $name }}</span></button></x-edit>
                                @if (! $row['isFirst'])
                                    <x-edit :page="$page" :fields="['edit' => 'move-effect', ...$fields, 'earlier' => '1',
                                    'situation' => '']"><button class="plain" type="submit" aria-label="{{ $name }} earlier"
                                    title="Earlier"><i class="bi bi-chevron-up" aria-hidden="true"></i></button></x-edit> @endif
                                @if (! $row['isLast'])
                                    <x-edit :page="$page" :fields="['edit' => 'move-effect', ...$fields, 'earlier' => '0',
                                    'situation' => '']"><button class="plain" type="submit" aria-label="{{ $name }} later"
                                    title="Later"><i class="bi bi-chevron-down" aria-hidden="true"></i></button></x-edit> @endif
                            </span>
                            <details class="stock-more" data-keep><summary>set<span class="visually-hidden"> {{ $name }}</span></summary>
                                <x-edit :page="$page" class="row-form" data-save
                                    :fields="['edit' => 'effect', ...$fields, 'situation' => '']">
                                    <label>Name <input name="name" maxlength="{{ Bounds::POINT_NAME }}" value="{{ $effect->name }}"
                                        placeholder="{{ $effect->kind->words() }}"></label>
                                    <label>Delay, ms <input type="number" name="delay_ms" min="{{ Bounds::EFFECT_MS[0] }}"
                                        max="{{ Bounds::EFFECT_MS[1] }}" step="0.1" value="{{ $effect->delay?->number() }}"></label>
                                    <label>Level, dB <input type="number" name="db" min="{{ Bounds::EFFECT_DB[0] }}"
                                        max="{{ Bounds::EFFECT_DB[1] }}" step="0.5" value="{{ $effect->db?->number() }}"></label>
                                    <x-effect-values :effect="$effect" :name="$name" :others="$chain['others']" />
                                    @if ($chain['mixes'] !== []) <input type="hidden" name="with_off_for" value="1"><label>Not for
                                        <select name="off_for[]" multiple size="3" aria-label="Mixes that {{ $name
                                        }} is not for">@foreach ($chain['mixes'] as $into => $mix)
                                        <option value="{{ $into }}" @selected(in_array($into, $effect->offFor, true))>{{ $mix }}</option>
                                        @endforeach</select></label> @endif
                                    <button class="do" type="submit">Save<span class="visually-hidden"> {{ $name }}</span></button>
                                </x-edit>
                                <x-edit :page="$page"
                                    :fields="['edit' => 'remove-effect', ...$fields, 'situation' => '']"><button class="do"
                                    type="submit">Remove<span class="visually-hidden"> {{ $name }}</span></button></x-edit>
                            </details>
                        @endif
                    </li>
                @endforeach
            </ol>
        @endif
    @endforeach
    @if ($page->canEdit)
        @if ($chains->withRoom() !== [])
            <x-edit :page="$page" class="row-form chain-add" :fields="['edit' => 'add-effect', 'unit' => $unit->id, 'situation' => '']">
                <select name="kind" aria-label="Kind of the new effect">@foreach ($chains->kinds() as $kind)
                    <option value="{{ $kind->value }}">{{ $kind->words() }}</option> @endforeach</select>
                <select name="point" aria-label="Where the new effect comes">@foreach ($chains->withRoom() as $id => $label)
                    <option value="{{ $id }}">{{ $label }}</option> @endforeach</select>
                <button class="do" type="submit">Add the effect</button>
            </x-edit>
        @endif
    @endif
</details>

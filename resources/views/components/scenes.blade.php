@props(['page', 'table'])
{{-- Scenes against sources: what sounds in which, and what a scene lacks where it is shown. --}}
@php $unit = $table->unit; @endphp
<details class="stock-more scenes" data-keep @if ($table->scenes !== []) open @endif>
    <summary>{{ $table->scenes === [] ? 'Scenes: none' : 'Scenes' }}</summary>
    @if ($table->scenes !== [])
        <div class="matrix-scroll" tabindex="0" role="region" aria-label="Scenes of {{ $unit->name }}">
            <table class="matrix scene-table">
                <thead><tr><th scope="col">Source</th>
                    @foreach ($table->scenes as $row)
                        <th scope="col">{{ $row['scene']->name }} @if ($row['isShown']) <span class="tag">shown</span> @endif
                            @if ($row['lacks'] !== []) <small class="says-muted">lacks {{ implode(', ', $row['lacks']) }}</small>@endif
                                @if ($row['doubles'] !== []) <small class="says-muted">doubles {{ implode(', ',
                                $row['doubles']) }}</small>@endif</th>
                    @endforeach
                    <th scope="col">Every scene</th></tr></thead>
                <tbody>
                    @foreach ($table->rows as $row)
                        <tr><th scope="row">{{ $row['point']->label }}
                            <small>{{ $row['sounds'] }}@if ($row['tied'] !== '') · goes with {{ $row['tied'] }}@endif</small></th>
                            @foreach ($row['in'] as $scene => $isIn)
                                <td>@if ($row['tied'] !== '') <span class="matrix-cell fixed">{{ $isIn ? 'in' : '·' }}</span> @else
                                    <x-edit :page="$page" :fields="['edit' => 'scene-source', 'unit' => $unit->id, 'scene' => $scene,
                                    'point' => $row['point']->id, 'in' => $isIn ? '0' : '1', 'situation' => '']"><button class="matrix-cell"
                                    type="submit" aria-pressed="{{ $isIn ? 'true' : 'false' }}"
                                    aria-label="{{ $row['point']->label }} in the scene {{ $unit->scene((string) $scene)?->name }}">{{ $isIn
                                    ? 'in' : '·' }}</button></x-edit> @endif</td>
                            @endforeach
                            <td>@if ($row['tied'] === '')
                                <x-edit :page="$page" :fields="['edit' => 'sound-always', 'unit' => $unit->id, 'point' => $row['point']->id,
                                'always' => $row['always'] ? '0' : '1', 'situation' => '']"><button class="matrix-cell" type="submit"
                                aria-pressed="{{ $row['always'] ? 'true' : 'false' }}"
                                aria-label="{{ $row['point']->label }} in every scene">{{ $row['always'] ? 'in' : '·' }}</button></x-edit>
                                @endif</td></tr>
                    @endforeach
                    @foreach ($table->pictures as $row)
                        <tr><th scope="row">{{ $row['picture']->name }} <small>picture, {{ $row['words'] }}</small></th>
                            @foreach ($row['in'] as $scene => $isIn)
                                <td><x-edit :page="$page"
                                    :fields="['edit' => 'scene-picture', 'unit' => $unit->id, 'scene' => $scene,
                                    'picture' => $row['picture']->id, 'in' => $isIn ? '0' : '1', 'situation' => '']"><button
                                    class="matrix-cell" type="submit" aria-pressed="{{ $isIn ? 'true' : 'false' }}"
                                    aria-label="The picture {{ $row['picture']->name }} in the scene {{ $unit->scene((string) $scene)?->name
                                    }}">{{ $isIn ? 'shown' : '·' }}</button></x-edit></td>
                            @endforeach
                            <td></td></tr>
                    @endforeach
                </tbody>
            </table>
        </div>
        @if ($page->canEdit)
            <x-edit :page="$page" class="row-form"
                :fields="['edit' => 'choose-scene', 'unit' => $unit->id]"><label>Scene in {{ $page->situation->name }}
                <select name="scene" data-auto aria-label="Scene of {{ $unit->name }} in {{ $page->situation->name }}"><option
                value="">the first</option>@foreach ($table->scenes as $row)
                <option value="{{ $row['scene']->id }}" @selected($table->chosen === $row['scene']->id)>{{ $row['scene']->name }}</option>
                @endforeach</select></label><button type="submit" class="do without-scripts">Set</button></x-edit>
            <ul class="scene-tools">
                @foreach ($table->scenes as $row)
                    <li>
                        <x-edit :page="$page" class="row-form"
                            :fields="['edit' => 'rename-scene', 'unit' => $unit->id, 'scene' => $row['scene']->id,
                            'situation' => '']"><input name="name" maxlength="{{ Bounds::SHORT_NAME }}" required
                            value="{{ $row['scene']->name }}" aria-label="Name of the scene {{ $row['scene']->name }}"><button class="do"
                            type="submit">Rename</button></x-edit>
                        <x-edit :page="$page" class="row-form"
                            :fields="['edit' => 'remove-scene', 'unit' => $unit->id, 'scene' => $row['scene']->id,
                            'situation' => '']"><button class="do" type="submit">Remove<span class="visually-hidden">
                            the scene {{ $row['scene']->name }}</span></button></x-edit>
                    </li>
                @endforeach
            </ul>
        @endif
    @endif
    @if ($page->canEdit)
        @foreach ([...array_column($table->pictures, 'picture'), null] as $picture)
            @if ($picture !== null || $table->scenes !== [])
                <div class="picture-row">
                    <x-edit :page="$page" class="row-form" data-save
                        :fields="['edit' => 'picture', 'unit' => $unit->id, 'picture' => $picture?->id, 'situation' => '']">
                        <input name="name" maxlength="{{ Bounds::SHORT_NAME }}" required value="{{ $picture?->name }}"
                            placeholder="New picture" aria-label="Name of {{ $picture === null ? 'a new picture'
                            : "the picture {$picture->name}" }}">
                        <input type="number" name="delay_ms" min="0" max="{{ Bounds::MS }}" step="0.1"
                            value="{{ $picture?->delay?->number() }}" placeholder="ms late"
                            aria-label="How late {{ $picture->name ?? 'the new picture' }} comes, ms">
                        <select name="sound" aria-label="Sound of {{ $picture->name
                            ?? 'the new picture' }}"><option value="">no sound</option>@foreach ($table->sounds as $id => $label)
                            <option value="{{ $id }}" @selected($picture?->sound === $id)>{{ $label }}</option> @endforeach</select>
                        <label class="tick"><input type="checkbox" name="tied" value="1" @checked($picture?->isTied)> goes with it</label>
                        <button class="do" type="submit">{{ $picture === null ? 'Add the picture' : 'Save' }}<span class="visually-hidden">
                            {{ $picture?->name }}</span></button>
                    </x-edit>
                    @if ($picture !== null) <x-edit :page="$page" class="row-form"
                        :fields="['edit' => 'remove-picture', 'unit' => $unit->id, 'picture' => $picture->id, 'situation' => '']"><button
                        class="do" type="submit">Remove<span class="visually-hidden">
                        the picture {{ $picture->name }}</span></button></x-edit> @endif
                </div>
            @endif
        @endforeach
        <x-edit :page="$page" class="row-form" :fields="['edit' => 'add-scene', 'unit' => $unit->id, 'situation' => '']">
            <input name="name" maxlength="{{ Bounds::SHORT_NAME }}" required placeholder="New scene"
                aria-label="Name of the new scene of {{ $unit->name }}">
            @if ($table->scenes !== []) <select name="like"
                aria-label="Scene that the new one begins as"><option value="">with nothing</option>@foreach ($table->scenes as $row)
                <option value="{{ $row['scene']->id }}">like {{ $row['scene']->name }}</option> @endforeach</select> @endif
            <button class="do" type="submit">Add the scene</button>
        </x-edit>
    @endif
</details>

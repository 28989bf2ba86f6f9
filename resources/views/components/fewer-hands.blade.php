@props(['page', 'fewer'])
{{-- Which sound goes on which fader, by how often it is touched, and what has to share one. --}}
@php
    use HiddenWire\Core\Quantity\Count;
    use HiddenWire\Core\Rig\Touched;
    $names = fn (array $sounds): string => implode(', ', array_map(fn ($one) => $one->name, $sounds)) ?: 'nothing';
@endphp
<section class="fewer-hands" aria-labelledby="fewer-title">
    <h3 id="fewer-title">{{ Count::of(count($fewer->sounds), 'sound') }} on air, {{ Count::of(count($fewer->hands), 'hand') }}</h3>
    <div class="fewer-columns">
        <table class="facts"><thead><tr><th scope="col">Sound</th><th scope="col">Touched</th></tr></thead><tbody>
            @foreach ($fewer->sounds as $sound)
                <tr><th scope="row">{{ $sound->name }}</th><td><x-edit :page="$page" :fields="['edit' => 'touched', 'source' => $sound->id,
                    'situation' => '']"><select class="form-select form-select-sm" name="touched" data-auto
                    aria-label="How often {{ $sound->name }} is touched"><option value="">nobody has said</option>
                    @foreach (Touched::cases() as $one) <option value="{{ $one->value }}" @selected($sound->touched === $one)>{{ $one->value
                    }}</option> @endforeach</select></x-edit></td></tr>
            @endforeach
        </tbody></table>
        @if ($fewer->hands !== [])
        <table class="facts"><thead><tr><th scope="col">Hand</th><th scope="col">Moves on air</th><th scope="col">By how often it is
            touched</th></tr></thead><tbody>
            @foreach ($fewer->hands as $hand)
                <tr><th scope="row">{{ $hand['control']->words() }}</th><td>{{ $names($hand['moves']) }}</td>
                    <td>{{ $names($hand['gets']) }} @if (count($hand['gets']) > 1) <small class="quiet">share it</small> @endif</td></tr>
            @endforeach
        </tbody></table>
        @endif
    </div>
</section>

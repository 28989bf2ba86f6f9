@php
    use App\Rigs\Everywhere;
    use HiddenWire\Core\Quantity\Count;
    $titles = ['rigs' => 'Rigs', 'units' => 'Units', 'models' => 'Where a model is used', 'cables' => 'Cables', 'sounds' => 'Sounds',
        'listeners' => 'Listeners'];
    $to = fn (string $kind, object $one): string => match ($kind) {
        'rigs' => route('rigs.wishes', $one->rig),
        'units', 'models' => route('rigs.stock', [$one->rig, 'select' => "unit:{$one->key}"]),
        'cables' => route('rigs.wiring', [$one->rig, 'select' => "cable:{$one->key}"]),
        'sounds' => route('rigs.wiring', [$one->rig, 'pens' => $one->key]),
        default => route('rigs.wishes', $one->rig),
    };
    $says = fn (string $kind, object $one): string => match ($kind) {
        'rigs' => $one->summary,
        'units' => implode(', ', array_filter([$one->model, $one->inventory === '' ? '' : "number {$one->inventory}",
            $one->serial === '' ? '' : "serial {$one->serial}"])),
        'models' => Count::of($one->count, 'unit'),
        'cables' => "{$one->from_name} to {$one->to_name}",
        default => '',
    };
@endphp
<x-page title="Find in all rigs" class="shelf">
    <header class="top">
        <x-brand />
        <h1>Find in all rigs</h1>
        <nav aria-label="Elsewhere"><a href="{{ route('rigs.index') }}">Rigs</a></nav>
        <div class="top-end"><x-account /></div>
    </header>
    <main class="shelf-main everywhere">
        <form class="find-everywhere" method="get" action="{{ route('find-all') }}" role="search">
            <label for="everywhere">Unit, serial or inventory number, model, cable, sound or listener</label>
            <div class="begin"><input class="form-control" id="everywhere" type="search" name="q" value="{{ $text }}"
                maxlength="{{ Bounds::NAME }}" autofocus><button class="btn btn-ink" type="submit">Find</button></div>
        </form>
        @if ($text !== '' && array_filter($found) === []) <p>Nothing in your rigs is called that.</p> @endif
        @foreach (array_filter($found) as $kind => $rows)
            <section aria-labelledby="found-{{ $kind }}">
                <h2 id="found-{{ $kind }}">{{ $titles[$kind] }} <small class="quiet">{{ count($rows) }}{{ count($rows) === Everywhere::MOST
                    ? ' first' : '' }}</small></h2>
                <ul class="found-in">
                    @foreach ($rows as $one)
                        <li><a href="{{ $to($kind, $one) }}">{{ $one->name }}</a> <span class="quiet">{{ $says($kind, $one) }}</span>
                            @if ($kind !== 'rigs') <span class="found-rig">{{ $one->rig_name }}</span> @endif</li>
                    @endforeach
                </ul>
            </section>
        @endforeach
    </main>
    <x-keys />
</x-page>

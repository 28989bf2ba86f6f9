<x-page title="{{ $rig->name }} can't be read" class="door">
    <main class="door-card">
        <x-brand />
        <h1>{{ $rig->name }} can't be read</h1>
        <p class="trouble">{{ $rig->trouble }}</p>
        <p>Nothing is lost: its document and every revision are kept.</p>
        @if ($rig->readable !== null && $canEdit)
            <form method="post" action="{{ route('rigs.recover', $rig->id) }}">@csrf
                <button class="btn btn-ink" type="submit">Restore revision {{ $rig->readable }}</button></form>
        @endif
        <p class="door-other"><a href="{{ route('rigs.document', $rig->id) }}" download>Its document, as it was kept</a> ·
            <a href="{{ route('rigs.index') }}">All rigs</a></p>
    </main>
</x-page>

<x-rig-frame :page="$page">
    <div class="page">
        <h2>Import sounds and wishes</h2>
        <p class="quiet">One row a sound, one column a listener; the first line names them, the first column the sounds. A cell says must,
            may or must not, or nothing. A column "Kind" says what a new sound is, and "Viewers (stream)" adds a listener.</p>
        <form class="row-form" method="post" enctype="multipart/form-data"
            action="{{ route('rigs.import-wishes.read', $page->record->id) }}">
            @csrf
            <label>CSV file <input class="form-control" type="file" name="file" accept=".csv,text/csv,text/plain" required></label>
            <button class="do" type="submit">Read</button>
        </form>
        <form method="post" action="{{ route('rigs.import-wishes.read', $page->record->id) }}">
            @csrf
            <label class="paste-table">Or paste it <textarea class="form-control figures" name="csv" rows="8" spellcheck="false"
                required>{{ $import->csv }}</textarea></label>
            <button class="do" type="submit">Preview</button>
        </form>
        @if ($import->trouble !== '') <p class="form-trouble" role="alert">{{ $import->trouble }}</p> @endif
        @if ($import->plan !== null)
            <x-planned-rows :plan="$import->plan"/>
            @if ($import->makes() > 0)
                <x-edit :page="$page" class="form-foot" :fields="['edit' => 'import-wishes', 'situation' => '']"
                    :data-then="route('rigs.wishes', $page->record->id)">
                    <textarea name="csv" hidden>{{ $import->csv }}</textarea>
                    <button class="btn btn-sm btn-ink" type="submit">Make what can be made</button>
                </x-edit>
            @endif
        @endif
    </div>
</x-rig-frame>

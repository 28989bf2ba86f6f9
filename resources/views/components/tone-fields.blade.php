@props(['tones', 'id'])
<label for="{{ $id }}-unit">Recorded by</label>
<select class="form-select form-select-sm" id="{{ $id }}-unit" name="unit">
    @foreach ($tones->recorders() as $unit => $name) <option value="{{ $unit }}">{{ $name }}</option> @endforeach
</select>
<label for="{{ $id }}-situation">Situation</label>
<select class="form-select form-select-sm" id="{{ $id }}-situation" name="situation">
    @foreach ($tones->page->rig->situations as $one) <option value="{{ $one->id }}" @selected($one->id === $tones->page->situation->id)>{{
        $one->name }}</option> @endforeach
</select>

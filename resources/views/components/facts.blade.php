@props(['page', 'about'])
{{-- How sure something is: of what is selected, and of what is inside it. --}}
@php $written = array_filter($page->rig->papers->facts, fn ($fact) => isset($about[(string) $fact->about])); @endphp
<h3>Confidence</h3>
@foreach ($written as $fact)
    <div class="fact">
        <p>{{ $about[(string) $fact->about] }}@if ($fact->with !== null) with {{ $fact->with->words($page->rig) }}@endif.
            {{ $fact->words() }}</p>
        @if ($page->canEdit) <x-edit :page="$page"
            :fields="['edit' => 'fact', 'about' => (string) $fact->about, 'with' => (string) $fact->with, 'certainty' => '',
            'situation' => '']"><button class="do" type="submit">Remove<span class="visually-hidden">
            what is said of {{ $about[(string) $fact->about] }}</span></button></x-edit> @endif
    </div>
@endforeach
@if ($page->canEdit)
    <details class="stock-more" data-keep><summary>Say how sure something is</summary>
        <x-edit :page="$page" class="reason" data-save :fields="['edit' => 'fact', 'situation' => '']">
            <label>About <select class="form-select" name="about">@foreach ($about as $ref => $name)
                <option value="{{ $ref }}">{{ $name }}</option> @endforeach</select></label>
            <label>and how it fits <select class="form-select"
                name="with"><option value="">nothing else</option>@foreach ($page->rig->units as $unit)
                <option value="units/{{ $unit->id }}">{{ $unit->name }}</option> @endforeach</select></label>
            <label>What the plan relies on <input class="form-control" name="what" required maxlength="{{ Bounds::STEP }}"></label>
            <label>It is <select class="form-select" name="certainty">@foreach (\HiddenWire\Core\Rig\Certainty::cases() as $case)
                <option value="{{ $case->value }}" @selected($case->value === 'assumed')>{{ $case->words() }}</option>
                @endforeach</select></label>
            <label>By whom <input class="form-control" name="by" maxlength="{{ Bounds::SHORT_NAME }}"></label>
            <label>On <input class="form-control" type="date" name="on"></label>
            <label>With firmware <input class="form-control" name="firmware" maxlength="{{ Bounds::SHORT_NAME }}"></label>
            <label>How to prove it <textarea class="form-control" name="proof" rows="2" maxlength="{{ Bounds::WHY }}"></textarea></label>
            <label>Minutes that takes <input class="form-control" type="number" name="minutes" min="{{ Bounds::MINUTES[0] }}"
                max="{{ Bounds::MINUTES[1] }}" step="1"></label>
            <button class="do" type="submit">Save<span class="visually-hidden"> how sure it is</span></button>
        </x-edit>
    </details>
@endif

@props(['page', 'about'])
{{-- Why it is so, and what has to be left alone: of what is selected, and of what is inside it. --}}
@php $written = array_filter($page->rig->papers->reasons, fn ($reason) => isset($about[(string) $reason->about])); @endphp
<h3>Why</h3>
@foreach ($written as $reason)
    <x-edit :page="$page" class="reason" data-save :fields="['edit' => 'reason', 'about' => (string) $reason->about, 'situation' => '']">
        <label>{{ $about[(string) $reason->about] }} <textarea class="form-control" name="why" rows="2"
            maxlength="{{ Bounds::WHY }}">{{ $reason->why }}</textarea></label>
        <label class="tick"><input type="checkbox" name="leave_alone" value="1" @checked($reason->leaveAlone)> leave alone</label>
        <button class="do" type="submit">Save<span class="visually-hidden">
            the reason for {{ $about[(string) $reason->about] }}</span></button>
    </x-edit>
@endforeach
@if ($page->canEdit)
    <details class="stock-more" data-keep><summary>Add a reason</summary>
        <x-edit :page="$page" class="reason" data-save :fields="['edit' => 'reason', 'situation' => '']">
            <label>About <select class="form-select" name="about">@foreach ($about as $ref => $name)
                @if ($page->rig->papers->reasonFor($ref) === null)
                <option value="{{ $ref }}">{{ $name }}</option> @endif @endforeach</select></label>
            <label>Why <textarea class="form-control" name="why" rows="2" maxlength="{{ Bounds::WHY }}"></textarea></label>
            <label class="tick"><input type="checkbox" name="leave_alone" value="1"> leave alone</label>
            <button class="do" type="submit">Save<span class="visually-hidden"> the new reason</span></button>
        </x-edit>
    </details>
@endif

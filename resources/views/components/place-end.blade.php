@props(['page', 'kind', 'id'])
{{-- The places where a sound can begin, or where somebody can listen. --}}
@php
    use App\ViewModels\Places;
    use HiddenWire\Core\Progress\NextKind;
    $isSound = $kind === NextKind::Starts;
    $name = $isSound ? $page->rig->sources[$id]->name : $page->rig->listeners[$id]->name;
    $one = $isSound ? $page->rig->sources[$id] : $page->rig->listeners[$id];
    $places = $isSound ? Places::starts($page->rig, $page->rig->sources[$id]) : Places::ears($page->rig, $page->rig->listeners[$id]);
@endphp
@if ($page->canEdit && $places !== [])
    <x-edit :page="$page" class="row-form" :fields="['edit' => $isSound ? 'place-sound' : 'place-listener',
        $isSound ? 'source' : 'listener' => $id, 'situation' => '']"><label>{{ $name }} {{ $isSound ? 'starts at' : 'listens at' }}
        <select name="at" required>@if (count($places) > 1) <option value="">choose …</option> @endif @foreach ($places as $ref => $place)
        <option value="{{ $ref }}">{{ $place }}</option> @endforeach</select></label><button class="btn btn-sm btn-ink"
        type="submit">Set<span class="visually-hidden"> where {{ $name }} {{ $isSound ? 'starts' : 'listens' }}</span></button></x-edit>
@endif
@if ($page->canEdit && Places::lacksService($page->rig, $one))
    <x-edit :page="$page" :fields="['edit' => 'bring-service', $isSound ? 'source' : 'listener' => $id, 'situation' => '']"><button
        class="btn btn-sm btn-ink" type="submit">Add a call service for {{ $name }}</button></x-edit>
@endif

@props(['page', 'items'])
{{-- The causes or findings that were accepted, each with its reason and the way back. --}}
@if ($items !== [])
    <details class="accepted" data-keep><summary>{{ count($items) }} accepted</summary>
        <ul class="plain-list">
            @foreach ($items as $item)
                @php $as = $page->rig->papers->acceptanceOf(...$item->evidences()); @endphp
                <li><p class="cause-says">{{ $item->sentence }}</p>
                    <p class="quiet">{{ $as->why }}</p>
                    <x-edit :page="$page" :fields="['edit' => 'reopen', 'evidence' => $as->evidence, 'situation' => '']"><button
                        type="submit" class="do">Open again<span class="visually-hidden">:
                        {{ $item->sentence }}</span></button></x-edit></li>
            @endforeach
        </ul>
    </details>
@endif

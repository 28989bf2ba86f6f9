@props(['page', 'items'])
{{-- The causes or findings that were accepted, each with its reason and the way back. --}}
@if ($items !== [])
    <details class="accepted" data-keep><summary>{{ count($items) }} accepted</summary>
        <ul class="plain-list">
            @foreach ($items as $item)
                <li><p class="cause-says">{{ $item->sentence }}</p>
                    <p class="quiet">{{ $page->rig->papers->acceptanceOf($item->evidence())->why }}</p>
                    <x-edit :page="$page" :fields="['edit' => 'reopen', 'evidence' => $item->evidence(), 'situation' => '']"><button
                        type="submit" class="do">Open again<span class="visually-hidden">:
                        {{ $item->sentence }}</span></button></x-edit></li>
            @endforeach
        </ul>
    </details>
@endif

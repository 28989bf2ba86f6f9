@props(['page'])
{{-- The situations that the shown one can be compared with. --}}
<p class="against">
    @foreach ($page->rig->situations as $situation)
        @if ($situation !== $page->situation)
            @php $isAgainst = $page->difference?->before->situation->id === $situation->id; @endphp
            <a href="{{ $page->url(['against' => $isAgainst ? null : $situation->id]) }}" @if ($isAgainst)
                aria-current="true" @endif>{{ $situation->name }}</a>
        @endif
    @endforeach
</p>
<x-situation-difference :page="$page" />

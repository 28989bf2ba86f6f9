@props(['deeds'])
{{-- Who did what, the latest first. From where is for the eyes of whoever did it. --}}
<ul class="deeds">
    @forelse ($deeds as $deed)
        <li><time datetime="{{ $deed->created_at->toIso8601String() }}">{{ $deed->created_at->format('Y-m-d H:i') }}</time>
            <span>{{ $deed->what }} <small class="quiet">{{ $deed->by }}@if ($deed->ip_address !== null
                && $deed->user_id === auth()->id()), from {{ $deed->ip_address }}@endif</small></span></li>
    @empty
        <li class="quiet">Nothing yet.</li>
    @endforelse
</ul>

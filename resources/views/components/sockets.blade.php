@props(['marks'])
{{-- Sockets side by side, each with its name. --}}
@foreach ($marks as $mark)<svg @class(['sock', "realm-{$mark->realm->value}", 'free' => $mark->isFree()]) role="img"><title>{{ $mark->says()
    }}</title><use href="#sock-{{ $mark->shape }}"/></svg>@endforeach

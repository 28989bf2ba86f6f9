@props(['marks'])
{{-- Sockets side by side, each with its name. --}}
@foreach ($marks as $mark)<svg @class(['sock', "realm-{$mark->realm->value}", 'free' => $mark->isFree()]) viewBox="-8 -8 16 16"
    role="img"><title>{{ $mark->says() }}</title>@include('components.socket-shape', ['shape' => $mark->shape])</svg>@endforeach

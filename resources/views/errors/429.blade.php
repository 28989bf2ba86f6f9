<x-error title="Too many requests"><p>{{ $says ?? 'Wait a minute, then try again.' }}</p></x-error>

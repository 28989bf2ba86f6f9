@props(['title'])
<x-page :title="$title" class="door">
    <main class="door-card">
        <x-brand />
        <h1>{{ $title }}</h1>
        {{ $slot }}
        <p class="door-other"><a href="/">All rigs</a></p>
    </main>
</x-page>

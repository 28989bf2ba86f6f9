<x-page :title="$title" class="shared">
    <header class="top"><span class="brand">Hidden Wire</span> <span class="tag">view only</span></header>
    <main class="book" tabindex="-1">{!! $written !!}</main>
</x-page>

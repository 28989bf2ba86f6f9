@props(['title'])
<!DOCTYPE html>
<html lang="en" data-bs-theme="light">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <meta name="csrf-token" content="{{ request()->hasSession() ? \App\Http\FormToken::masked() : '' }}">
    <title>{{ $title }} · Hidden Wire</title>
    <link rel="icon" href="/favicon.svg" type="image/svg+xml">
    <script src="/theme.js"></script>
    @vite(['resources/scss/app.scss', 'resources/js/app.js'])
</head>
<body {{ $attributes }} x-data="frame" x-on:submit="submit" x-on:change="change" x-on:click="click" x-on:keydown.window="key"
    x-on:pointerover="point" x-on:popstate.window="back" x-on:input="input" x-on:focusout="left" x-on:pointerdown="pressed"
    x-on:redrawn.document="input" x-on:beforeunload.window="leave">
{{ $slot }}
</body>
</html>

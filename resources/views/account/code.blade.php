<x-page title="Code" class="door" data-signed-out>
    <main class="door-card">
        <h1 class="visually-hidden">The code of your phone</h1>
        <x-brand />
        <p class="door-line">The code that your phone shows now. A recovery code does as well, once.</p>
        <form method="post" action="{{ route('login.code') }}" novalidate>
            @csrf
            <label class="form-label" for="code">Code</label>
            <input class="form-control" id="code" name="code" autocomplete="one-time-code" autocapitalize="none" spellcheck="false" required
                autofocus maxlength="20" @error('code') aria-describedby="code-wrong" aria-invalid="true" @enderror>
            @error('code') <p class="trouble" id="code-wrong" role="alert">{{ $message }}</p> @enderror
            <button class="btn btn-ink door-go" type="submit">Sign in</button>
        </form>
        <p class="door-other"><a href="{{ route('login') }}">Another account</a></p>
    </main>
</x-page>

<x-page title="Two-step sign-in" class="shelf">
    <header class="top">
        <x-brand />
        <h1>Two-step sign-in</h1>
        <nav aria-label="Elsewhere"><a href="{{ route('account') }}">Account</a></nav>
        <div class="top-end"><x-account /></div>
    </header>
    <main class="shelf-main account-page">
        <section class="account-part" aria-labelledby="phone-title">
            <h2 id="phone-title">On your phone</h2>
            <p>In an app that makes codes for signing in, add an account @if ($picture !== '') by the picture, or @endif by its key:</p>
            @if ($picture !== '') <div class="phone-code" role="img" aria-label="The key as a picture that a phone reads">{!! $picture
                !!}</div> @endif
            <p><code class="phone-key">{{ $typed }}</code></p>
        </section>
        <section class="account-part" aria-labelledby="confirm-title">
            <h2 id="confirm-title">Does it fit?</h2>
            <form method="post" action="{{ route('account.two-step.confirm') }}">
                @csrf @method('put')
                <label>The code that the phone shows now <input class="form-control" name="code" inputmode="numeric"
                    autocomplete="one-time-code" maxlength="7" required></label>
                @error('code') <p class="trouble" role="alert">{{ $message }}</p> @enderror
                <button class="btn btn-sm btn-ink" type="submit">Turn it on</button>
            </form>
        </section>
    </main>
    <x-keys />
</x-page>

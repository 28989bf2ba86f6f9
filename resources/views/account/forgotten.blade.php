<x-page title="Forgotten password" class="door">
    <main class="door-card">
        <h1 class="visually-hidden">Forgotten password</h1>
        <x-brand />
        <p class="door-line">A link to set a new password goes to the address of your account.</p>
        <form method="post" action="{{ route('password.request') }}" novalidate>
            @csrf
            <label class="form-label" for="email">Email</label>
            <input class="form-control" id="email" name="email" type="email" autocomplete="username" value="{{ old('email') }}" required
                autofocus @error('email') aria-describedby="email-wrong" aria-invalid="true" @enderror>
            @error('email') <p class="trouble" id="email-wrong" role="alert">{{ $message }}</p> @enderror
            <button class="btn btn-ink door-go" type="submit">Send the link</button>
        </form>
        <p class="door-other"><a href="{{ route('login') }}">Sign in</a></p>
    </main>
</x-page>

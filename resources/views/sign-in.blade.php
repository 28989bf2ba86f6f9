<x-page title="Sign in" class="door" data-signed-out>
    <main class="door-card">
        <h1 class="visually-hidden">Sign in to Hidden Wire</h1>
        <x-brand />
        <p class="door-line">Who hears what, by which way, and what to change.</p>
        @if (session('said')) <p class="said" role="status">{{ session('said') }}</p> @endif
        <form method="post" action="{{ route('login') }}" novalidate>
            @csrf
            @error('email') <p class="trouble" role="alert">{{ $message }}</p> @enderror
            <label class="form-label" for="email">Email</label>
            <input class="form-control" id="email" name="email" type="email" autocomplete="username" value="{{ old('email') }}" required
                autofocus>
            <label class="form-label" for="password">Password</label>
            <input class="form-control" id="password" name="password" type="password" autocomplete="current-password" required>
            @error('password') <p class="trouble" role="alert">{{ $message }}</p> @enderror
            <div class="form-check"><input class="form-check-input" type="checkbox" id="remember" name="remember"
                value="1"><label class="form-check-label" for="remember">Stay signed in here</label></div>
            <button class="btn btn-ink" type="submit">Sign in</button>
        </form>
        <p class="door-other"><a href="{{ route('password.request') }}">Forgotten your password?</a></p>
        @if (App\Http\Controllers\AccountController::isOpen())
            <p class="door-other"><a href="{{ route('register') }}">Create account</a></p> @endif
    </main>
</x-page>

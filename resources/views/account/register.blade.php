<x-page title="Create account" class="door">
    <main class="door-card">
        <h1 class="visually-hidden">Create account</h1>
        <x-brand />
        <p class="door-line">An account holds your rigs. Nobody else sees them until you invite them.</p>
        <form method="post" action="{{ route('register') }}" novalidate x-data="strength">
            @csrf
            @foreach ([['name', 'Name', 'text', 'name'], ['email', 'Email', 'email', 'username'],
                ['password', 'Password, 10 characters or more', 'password', 'new-password'],
                ['password_confirmation', 'The password again', 'password', 'new-password']] as [$field, $label, $type, $complete])
                <label class="form-label" for="{{ $field }}">{{ $label }}</label>
                <input class="form-control" id="{{ $field }}" name="{{ $field }}" type="{{ $type }}" autocomplete="{{ $complete }}"
                    value="{{ $type === 'password' ? '' : old($field) }}" required @if ($field === 'password') x-on:input="measure"
                    aria-describedby="strength" @endif @error($field) aria-describedby="{{ $field }}-wrong" aria-invalid="true" @enderror>
                @if ($field === 'password') <p class="quiet" id="strength" x-text="says" aria-live="polite"></p> @endif
                @error($field) <p class="trouble" id="{{ $field }}-wrong" role="alert">{{ $message }}</p> @enderror
            @endforeach
            <button class="btn btn-ink door-go" type="submit">Create account</button>
        </form>
        <p class="door-other"><a href="{{ route('login') }}">Sign in instead</a></p>
    </main>
</x-page>

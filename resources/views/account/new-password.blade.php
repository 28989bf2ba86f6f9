<x-page title="New password" class="door">
    <main class="door-card">
        <h1 class="visually-hidden">New password</h1>
        <x-brand />
        <form method="post" action="{{ route('password.store') }}" novalidate x-data="strength">
            @csrf
            <input type="hidden" name="token" value="{{ $token }}">
            @foreach ([['email', 'Email', 'email', 'username'],
                ['password', 'New password, 10 characters or more', 'password', 'new-password'],
                ['password_confirmation', 'New password again', 'password', 'new-password']] as [$field, $label, $type, $complete])
                <label class="form-label" for="{{ $field }}">{{ $label }}</label>
                <input class="form-control" id="{{ $field }}" name="{{ $field }}" type="{{ $type }}" autocomplete="{{ $complete }}"
                    value="{{ $type === 'password' ? '' : old($field, $email) }}" required @if ($field === 'password') x-on:input="measure"
                    aria-describedby="strength" @endif @error($field) aria-describedby="{{ $field }}-wrong" aria-invalid="true" @enderror>
                @if ($field === 'password') <p class="quiet" id="strength" x-text="says" aria-live="polite"></p> @endif
                @error($field) <p class="trouble" id="{{ $field }}-wrong" role="alert">{{ $message }}</p> @enderror
            @endforeach
            <button class="btn btn-ink door-go" type="submit">Set the password</button>
        </form>
    </main>
</x-page>

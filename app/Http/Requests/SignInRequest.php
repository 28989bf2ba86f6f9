<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Validation\ValidationException;

/** An attempt to sign in. Five wrong ones from one address for one account, then a minute's wait. */
final class SignInRequest extends FormRequest
{
    private const ATTEMPTS = 5;

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['email' => ['required', 'string', 'max:255'], 'password' => ['required', 'string', 'max:255']];
    }

    /** @throws ValidationException */
    public function signIn(): void
    {
        $key = 'sign-in|'.sha1(mb_strtolower($this->string('email')->toString()).'|'.$this->ip());
        if (RateLimiter::tooManyAttempts($key, self::ATTEMPTS)) {
            throw ValidationException::withMessages(['email' => 'Too many attempts. Try again in '.RateLimiter::availableIn($key)
                .' seconds.'])->status(429);
        }
        if (! Auth::attempt($this->only('email', 'password'), $this->boolean('remember'))) {
            RateLimiter::hit($key);

            throw ValidationException::withMessages(['email' => 'This address and this password do not go together.']);
        }
        RateLimiter::clear($key);
        $this->session()->regenerate();
    }
}

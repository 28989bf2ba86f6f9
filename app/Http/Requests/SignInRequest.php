<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Http\LocalConnection;
use App\Models\Deed;
use App\Models\User;
use Database\Seeders\DatabaseSeeder;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Validation\ValidationException;

/** An attempt to sign in. After five wrong ones for an account, or sixty from a network address, a minute's wait. */
final class SignInRequest extends FormRequest
{
    private const ATTEMPTS = 5;

    private const FROM_ONE_ADDRESS = 60;

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['email' => ['required', 'string', 'max:255'], 'password' => ['required', 'string', 'max:255']];
    }

    /** Seconds between the password and the code. */
    private const HALFWAY_S = 300;

    /** Session key that says that the password was right. */
    private const HALFWAY = 'halfway';

    /**
     * @return bool whether the person is signed in; false where a code is to come
     *
     * @throws ValidationException
     */
    public function signIn(): bool
    {
        $email = mb_strtolower($this->string('email')->toString());
        $limits = ['sign-in|'.sha1($email) => self::ATTEMPTS, "sign-ins|{$this->ip()}" => self::FROM_ONE_ADDRESS];
        foreach ($limits as $key => $most) {
            if (RateLimiter::tooManyAttempts($key, $most)) {
                throw ValidationException::withMessages([
                    'email' => 'Too many attempts. Try again in '.RateLimiter::availableIn($key).' seconds.',
                ])->status(429);
            }
        }
        $user = User::query()->where('email', $email)->first();
        // An address that nobody has costs the same time as one that somebody has.
        $password = $this->string('password')->toString();
        $isRight = $user === null ? Hash::make($password) === '' : Hash::check($password, $user->password);
        if ($user === null || ! $isRight || ! $this->isAllowed($user)) {
            foreach (array_keys($limits) as $key) {
                RateLimiter::hit($key);
            }

            throw ValidationException::withMessages(['email' => 'Wrong email or password.']);
        }
        RateLimiter::clear('sign-in|'.sha1($email));
        $halfway = ['user' => $user->id, 'password' => sha1($user->password), 'remember' => $this->boolean('remember'),
            'until' => now()->getTimestamp() + self::HALFWAY_S];
        $this->session()->put(self::HALFWAY, $halfway);
        if (! $user->hasTwoSteps()) {
            self::finish($this, $user);
        }

        return ! $user->hasTwoSteps();
    }

    /** Whose password was right a moment ago in this session, and is still theirs; null where nobody's was. */
    public static function halfway(Request $request): ?User
    {
        $halfway = $request->session()->get(self::HALFWAY);
        if (! is_array($halfway) || $halfway['until'] < now()->getTimestamp()) {
            return null;
        }
        $user = User::query()->whereKey((int) $halfway['user'])->first();

        return $user !== null && hash_equals($halfway['password'], sha1($user->password)) ? $user : null;
    }

    /** Signs in whoever has done all steps. */
    public static function finish(Request $request, User $user): void
    {
        $halfway = $request->session()->pull(self::HALFWAY);
        Auth::login($user, is_array($halfway) && $halfway['remember']);
        $request->session()->regenerate();
        Deed::note('Signed in.', $user);
    }

    /** The demo account, whose password everybody knows, is for this machine only, unless it is wanted otherwise. */
    private function isAllowed(User $user): bool
    {
        return $user->email !== DatabaseSeeder::EMAIL || config('app.demo')
            || LocalConnection::isOf($this);
    }
}

<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Accounts\TimedCode;
use App\Accounts\TwoSteps;
use App\Exports\Codes;
use App\Exports\NotInstalled;
use App\Http\Requests\SignInRequest;
use App\Models\Deed;
use App\Models\User;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Validation\ValidationException;

/** The second step of signing in: setting it up, ending it, and the code itself. */
final class TwoStepController
{
    /** Session key of the secret that is being set up. */
    private const PENDING = 'two-step-secret';

    /** Wrong codes of an account, in a minute and in an hour. */
    private const ATTEMPTS = [60 => 5, 3600 => 30];

    /** Asks for a secret; it holds once a code of it has been typed. */
    public function begin(Request $request): RedirectResponse
    {
        $request->validateWithBag('twoStep', ['current' => ['required', 'current_password']]);
        $request->session()->put(self::PENDING, base64_encode(TimedCode::secret()));

        return redirect()->route('account.two-step');
    }

    public function show(Request $request): View|RedirectResponse
    {
        $secret = $this->pending($request);
        if ($secret === null) {
            return redirect()->route('account');
        }
        $code = new TimedCode($secret);
        try {
            [$picture] = Codes::of([$code->address($this->user($request)->email)]);
        } catch (NotInstalled) {
            $picture = '';
        }

        return view('account.two-step', ['typed' => $code->typed(), 'picture' => $picture]);
    }

    public function confirm(Request $request): RedirectResponse
    {
        $secret = $this->pending($request);
        if ($secret === null) {
            return redirect()->route('account');
        }
        $typed = (string) preg_replace('/\D/', '', $request->string('code')->toString());
        $step = (new TimedCode($secret))->stepOf($typed, now()->getTimestamp(), 0);
        if ($step === null) {
            return back()->withErrors(['code' => 'This is not the code of now. Is the clock of the phone right?']);
        }
        $request->session()->forget(self::PENDING);
        $codes = TwoSteps::begin($this->user($request), $secret, $step);
        Deed::note('Turned two-step sign-in on.', $this->user($request));

        return redirect()->route('account')->with('said', 'From now on signing in takes a code of your phone.')->with('recovery', $codes);
    }

    public function renew(Request $request): RedirectResponse
    {
        $request->validateWithBag('twoStep', ['current' => ['required', 'current_password']]);
        abort_unless($this->user($request)->hasTwoSteps(), 404);
        Deed::note('Made new recovery codes.', $this->user($request));

        return redirect()->route('account')->with('said', 'The recovery codes of before are good no more.')
            ->with('recovery', TwoSteps::renew($this->user($request)));
    }

    public function end(Request $request): RedirectResponse
    {
        $request->validateWithBag('twoStep', ['current' => ['required', 'current_password']]);
        TwoSteps::end($this->user($request));
        Deed::note('Turned two-step sign-in off.', $this->user($request));

        return redirect()->route('account')->with('said', 'From now on signing in takes the password only.');
    }

    /** The form for the code, once the password was right. */
    public function ask(Request $request): View|RedirectResponse
    {
        return SignInRequest::halfway($request) === null ? redirect()->route('login') : view('account.code');
    }

    /** @throws ValidationException where the code is wrong, or too many were */
    public function answer(Request $request): RedirectResponse
    {
        $user = SignInRequest::halfway($request);
        if ($user === null) {
            return redirect()->route('login')->withErrors(['email' => 'That took too long. Sign in again.']);
        }
        foreach (self::ATTEMPTS as $seconds => $most) {
            if (RateLimiter::tooManyAttempts("code|{$seconds}|{$user->id}", $most)) {
                $left = RateLimiter::availableIn("code|{$seconds}|{$user->id}");

                throw ValidationException::withMessages(['code' => "Too many wrong codes. Try again in {$left} seconds."])->status(429);
            }
        }
        if (! TwoSteps::take($user, $request->string('code')->toString(), now()->getTimestamp())) {
            foreach (array_keys(self::ATTEMPTS) as $seconds) {
                RateLimiter::hit("code|{$seconds}|{$user->id}", $seconds);
            }

            throw ValidationException::withMessages(['code' => 'This code is wrong, or was used before.']);
        }
        SignInRequest::finish($request, $user->refresh());

        return redirect()->intended(route('rigs.index'));
    }

    private function pending(Request $request): ?string
    {
        $secret = $request->session()->get(self::PENDING);

        return is_string($secret) ? (string) base64_decode($secret, true) : null;
    }

    private function user(Request $request): User
    {
        return $request->user() ?? abort(401);
    }
}

<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\DeleteAccount;
use App\Limits\Limits;
use App\Models\User;
use App\Rigs\RigArchive;
use App\Rules\Uncommon;
use HiddenWire\Core\Quantity\Lengths;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\Rule;
use Illuminate\Validation\Rules\Password;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

/** A person's account: beginning one, its password, its sessions, and its end. */
final class AccountController
{
    public function create(): View
    {
        abort_unless(self::isOpen(), 404);

        return view('account.register');
    }

    public function store(Request $request): RedirectResponse
    {
        abort_unless(self::isOpen(), 404);
        $fields = $request->validate([
            'name' => ['required', 'string', 'max:60'],
            'email' => ['required', 'string', 'lowercase', 'email', 'max:190', 'unique:users,email'],
            'password' => self::passwordRules([$request->input('name'), $request->input('email')]),
        ]);
        $user = User::query()->create($fields);
        Auth::login($user);
        $request->session()->regenerate();

        return redirect()->route('rigs.index')->with('said', "Welcome, {$user->name}.");
    }

    public function show(Request $request): View
    {
        return view('account.show', [
            'limits' => Limits::of($this->user($request)),
            'sessions' => DB::table('sessions')->where('user_id', $this->user($request)->id)->count(),
            'hasOutbox' => OutboxController::isFor($request),
        ]);
    }

    public function lengths(Request $request): RedirectResponse
    {
        $asked = $request->validate(['lengths' => ['required', Rule::enum(Lengths::class)]]);
        $this->user($request)->update($asked);

        return redirect()->route('account')->with('said', 'Lengths are in '.Lengths::from($asked['lengths'])->name().' now.');
    }

    public function password(Request $request): RedirectResponse
    {
        $fields = $request->validateWithBag(
            'password',
            ['current' => ['required', 'current_password'],
                'password' => self::passwordRules([$this->user($request)->name, $this->user($request)->email])],
        );
        $user = $this->user($request);
        $user->update(['password' => $fields['password']]);
        Auth::logoutOtherDevices($fields['password']);
        $this->endOthers($request);

        return back()->with('said', 'The password is changed; every other session is signed out.');
    }

    /** Ends every other session of the account. */
    public function signOutEverywhere(Request $request): RedirectResponse
    {
        $fields = $request->validateWithBag('everywhere', ['current' => ['required', 'current_password']]);
        Auth::logoutOtherDevices($fields['current']);
        $ended = $this->endOthers($request);

        return back()->with('said', $ended === 1 ? 'One other session is signed out.' : "{$ended} other sessions are signed out.");
    }

    /** Everything of the account in one archive. */
    public function export(Request $request, RigArchive $archive): BinaryFileResponse
    {
        return response()->download(
            $archive->of($this->user($request)),
            'hidden-wire.zip',
            ['Content-Type' => 'application/zip'],
        )->deleteFileAfterSend();
    }

    public function destroy(Request $request, DeleteAccount $delete): RedirectResponse
    {
        $request->validateWithBag('deletion', ['current' => ['required', 'current_password']]);
        $user = $this->user($request);
        Auth::guard('web')->logout();
        $delete($user);
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return redirect()->route('login')->with('said', 'The account and all its rigs are deleted.');
    }

    /**
     * @param  array<array-key, mixed>  $own  the person's name and address
     * @return list<mixed>
     */
    public static function passwordRules(array $own): array
    {
        return ['required', 'string', 'confirmed', Password::min(10), 'max:200',
            new Uncommon(array_values(array_filter($own, is_string(...))))];
    }

    /** Whether anybody may create an account here. */
    public static function isOpen(): bool
    {
        return (bool) config('app.registration');
    }

    private function endOthers(Request $request): int
    {
        return DB::table('sessions')
            ->where('user_id', $this->user($request)->id)
            ->where('id', '!=', $request->session()->getId())
            ->delete();
    }

    private function user(Request $request): User
    {
        return $request->user() ?? abort(401);
    }
}

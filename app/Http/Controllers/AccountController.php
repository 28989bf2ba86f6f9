<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\DeleteAccount;
use App\Limits\Limits;
use App\Models\Deed;
use App\Models\User;
use App\Rigs\RigArchive;
use App\Rules\Uncommon;
use App\ViewModels\SessionList;
use HiddenWire\Core\Quantity\Lengths;
use Illuminate\Contracts\View\View;
use Illuminate\Database\Query\Builder;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Validation\Rule;
use Illuminate\Validation\Rules\Password;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

/** A person's account: beginning one, its password, its sessions, and its end. */
final class AccountController
{
    /** Sessions that are listed. */
    private const SESSIONS = 50;

    /** What was done that is listed. */
    private const DEEDS = 30;

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
            'sessions' => new SessionList($this->sessions($request)->latest('last_activity')->limit(self::SESSIONS)->get(
                ['id', 'ip_address', 'user_agent', 'last_activity'],
            ), $request->session()->getId()),
            'codesLeft' => $this->user($request)->hasTwoSteps() ? count($this->user($request)->recovery_codes ?? []) : null,
            'deeds' => Deed::of($this->user($request))->limit(self::DEEDS)->get(),
            'crews' => $this->user($request)->crews()->get(),
            'alone' => DeleteAccount::crewsAlone($this->user($request)),
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
        Deed::note('Changed the password.', $user);

        return back()->with('said', 'The password is changed; every other session is signed out.');
    }

    /** Ends every other session of the account. */
    public function signOutEverywhere(Request $request): RedirectResponse
    {
        $fields = $request->validateWithBag('everywhere', ['current' => ['required', 'current_password']]);
        Auth::logoutOtherDevices($fields['current']);
        $ended = $this->endOthers($request);
        Deed::note('Signed out everywhere else.', $this->user($request));

        return back()->with('said', $ended === 1 ? 'One other session is signed out.' : "{$ended} other sessions are signed out.");
    }

    /** Ends one session of the account; no device stays signed in by itself then. */
    public function signOut(Request $request, string $mark): RedirectResponse
    {
        $ids = $this->sessions($request)->where('id', '!=', $request->session()->getId())->pluck('id')->all();
        $id = array_values(array_filter($ids, fn (mixed $id) => hash_equals(SessionList::mark((string) $id), $mark)))[0] ?? abort(404);
        DB::table('sessions')->where('id', $id)->delete();
        $this->user($request)->forceFill(['remember_token' => Str::random(60)])->save();

        Deed::note('Signed one session out.', $this->user($request));

        return back()->with('said', 'That session is signed out.');
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
        return $this->sessions($request)->where('id', '!=', $request->session()->getId())->delete();
    }

    private function sessions(Request $request): Builder
    {
        return DB::table('sessions')->where('user_id', $this->user($request)->id);
    }

    private function user(Request $request): User
    {
        return $request->user() ?? abort(401);
    }
}

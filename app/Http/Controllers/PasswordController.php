<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Jobs\SendResetLink;
use App\Models\Deed;
use App\Models\User;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Password;

/** A new password for one that is forgotten, by a link that is sent to the account's address. */
final class PasswordController
{
    public function create(): View
    {
        return view('account.forgotten');
    }

    public function store(Request $request): RedirectResponse
    {
        $fields = $request->validate(['email' => ['required', 'string', 'email', 'max:190']]);
        SendResetLink::dispatch(mb_strtolower($fields['email']));

        // The same whether somebody has an account with this address or not.
        return redirect()->route('login')
            ->with('said', 'If there is an account with this address, a link is on its way. It works for an hour.');
    }

    public function edit(Request $request, string $token): View
    {
        return view('account.new-password', ['token' => $token, 'email' => $request->string('email')->toString()]);
    }

    public function update(Request $request): RedirectResponse
    {
        $fields = $request->validate([
            'token' => ['required', 'string', 'max:200'],
            'email' => ['required', 'string', 'email', 'max:190'],
            'password' => AccountController::passwordRules([$request->input('email')]),
        ]);
        $status = Password::reset(
            [...$fields, 'email' => mb_strtolower($fields['email'])],
            function (User $user, string $password): void {
                self::change($user, $password);
                Deed::note('Set a new password by the link of a mail.', $user);
            },
        );

        return $status === Password::PASSWORD_RESET
            ? redirect()->route('login')->with('said', 'The password is changed. Sign in with it.')
            : back()->withErrors(['email' => 'This link no longer works, or it belongs to another address. Ask for a new one.'])
                ->withInput();
    }

    /** Sets a password and ends every session that knew the old one. */
    public static function change(User $user, string $password): void
    {
        $user->forceFill(['password' => $password, 'remember_token' => null])->save();
        DB::table('sessions')->where('user_id', $user->id)->delete();
    }
}

<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\SignInRequest;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;

/** Signing in and out. */
final class SessionController
{
    public function create(): View
    {
        return view('sign-in');
    }

    public function store(SignInRequest $request): RedirectResponse
    {
        return $request->signIn() ? redirect()->intended(route('rigs.index')) : redirect()->route('login.code');
    }

    public function destroy(Request $request): RedirectResponse
    {
        Auth::guard('web')->logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return redirect()->route('login');
    }
}

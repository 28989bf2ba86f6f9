<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\LocalConnection;
use App\Models\OutboxMail;
use Database\Seeders\DatabaseSeeder;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;

/** The mails that would have been sent, for the demo account at this machine: who else saw them could open other people's accounts. */
final class OutboxController
{
    public function __invoke(Request $request): View
    {
        abort_unless(self::isFor($request), 404);

        return view('account.outbox', ['mails' => OutboxMail::query()->latest('id')->limit(50)->get()]);
    }

    public static function isFor(Request $request): bool
    {
        return config('mail.default') === 'outbox' && $request->user()?->email === DatabaseSeeder::EMAIL && LocalConnection::isOf($request);
    }
}

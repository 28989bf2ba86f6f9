<?php

declare(strict_types=1);

namespace App\Jobs;

use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Illuminate\Support\Facades\Password;
use Illuminate\Support\Facades\RateLimiter;

/**
 * Sends the link for a new password, where somebody has an account with the address. In the background: the answer to whoever asks takes
 * as long for an address that nobody has.
 */
final class SendResetLink implements ShouldQueue
{
    use Queueable;

    public int $tries = 5;

    /** Seconds between tries. */
    public int $backoff = 20;

    /** Mails to one account; each has a link that works, so nobody is shut out by it. */
    private const MAILS_AN_HOUR = 5;

    public function __construct(public readonly string $email)
    {
        $this->onQueue('mail');
    }

    public function handle(): void
    {
        $key = 'reset-mails|'.sha1($this->email);
        if (RateLimiter::tooManyAttempts($key, self::MAILS_AN_HOUR)) {
            return;
        }
        if (Password::sendResetLink(['email' => $this->email]) === Password::RESET_LINK_SENT) {
            RateLimiter::hit($key, 3600);
        }
    }
}

<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Http\Controllers\PasswordController;
use App\Models\Deed;
use App\Models\User;
use Illuminate\Console\Command;
use Illuminate\Support\Str;

/** For the administrator, where a person has lost their password and gets no mail. */
final class ChangePassword extends Command
{
    protected $signature = 'account:password {email : The address of the account}';

    protected $description = 'Give an account a new password, and print it';

    public function handle(): int
    {
        $user = User::query()->where('email', mb_strtolower((string) $this->argument('email')))->first();
        if ($user === null) {
            $this->components->error('There is no account with this address.');

            return self::FAILURE;
        }
        $password = Str::lower(implode('-', str_split(Str::random(20), 5)));
        PasswordController::change($user, $password);
        Deed::note('Gave the account a new password.', null, whom: $user);
        $this->line("The new password of {$user->email}: {$password}");
        $this->line('All its sessions are signed out.');

        return self::SUCCESS;
    }
}

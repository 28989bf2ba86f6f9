<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Accounts\TwoSteps;
use App\Models\Deed;
use App\Models\User;
use Illuminate\Console\Command;

/** For the administrator, where a person has lost their phone and the recovery codes. */
final class EndTwoSteps extends Command
{
    protected $signature = 'account:one-step {email : The address of the account}';

    protected $description = 'Let an account sign in with its password only';

    public function handle(): int
    {
        $user = User::query()->where('email', mb_strtolower((string) $this->argument('email')))->first();
        if ($user === null) {
            $this->components->error('There is no account with this address.');

            return self::FAILURE;
        }
        TwoSteps::end($user);
        Deed::note('Turned two-step sign-in off.', null, whom: $user);
        $this->line("{$user->email} signs in with the password only.");

        return self::SUCCESS;
    }
}

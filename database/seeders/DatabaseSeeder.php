<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Actions\OpenStarter;
use App\Http\LocalConnection;
use App\Models\User;
use App\Rigs\Starters;
use Illuminate\Database\Seeder;
use Illuminate\Support\Facades\Hash;

/** The demo account with its rigs, imported like any other. Run again, it leaves what is there alone. */
final class DatabaseSeeder extends Seeder
{
    public const EMAIL = 'demo@hidden-wire.test';

    public const PASSWORD = 'night-relay';

    private const RIGS = ['ticket-booth', 'penny-slot', 'night-relay'];

    public function run(OpenStarter $open): void
    {
        // Everybody knows its password: on a server that others reach it exists by choice only (APP_DEMO).
        if (! config('app.demo') && ! LocalConnection::isOwn((string) config('app.url'))) {
            return;
        }
        $demo = User::query()->firstOrCreate(['email' => self::EMAIL], ['name' => 'Demo', 'password' => Hash::make(self::PASSWORD)]);
        if (! $demo->wasRecentlyCreated) {
            return;
        }
        foreach (self::RIGS as $name) {
            $open->open($demo, $name, new Starters('rigs'), 'Seeded as the demo');
        }
    }
}

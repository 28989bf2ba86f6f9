<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Actions\ImportRig;
use App\Models\User;
use Illuminate\Database\Seeder;
use Illuminate\Support\Facades\Hash;

/** The demo account with its rigs, imported like any other. Run again, it leaves what is there alone. */
final class DatabaseSeeder extends Seeder
{
    public const EMAIL = 'demo@hidden-wire.test';

    public const PASSWORD = 'night-relay';

    private const RIGS = ['ticket-booth', 'penny-slot', 'night-relay'];

    public function run(ImportRig $import): void
    {
        $demo = User::query()->firstOrCreate(['email' => self::EMAIL], ['name' => 'Demo', 'password' => Hash::make(self::PASSWORD)]);
        if (! $demo->wasRecentlyCreated) {
            return;
        }
        foreach (self::RIGS as $name) {
            $import($demo, (string) file_get_contents(resource_path("rigs/{$name}.json")), 'Seeded as the demo');
        }
    }
}

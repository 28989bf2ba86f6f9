<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\User;
use Illuminate\Database\Eloquent\Factories\Factory;

/** @extends Factory<User> */
final class UserFactory extends Factory
{
    private static int $made = 0;

    /** @return array<string, mixed> */
    public function definition(): array
    {
        $number = ++self::$made;

        return ['name' => "User {$number}", 'email' => "user-{$number}@hidden-wire.test", 'password' => 'password'];
    }
}

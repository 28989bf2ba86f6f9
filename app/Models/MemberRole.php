<?php

declare(strict_types=1);

namespace App\Models;

/** What somebody may do with a rig, or with all rigs of a crew. Each covers those before it. */
enum MemberRole: string
{
    case View = 'view';
    case Test = 'test';
    case Edit = 'edit';
    case Manage = 'manage';

    /** Whether whoever has this role may do what another is for. */
    public function covers(self $other): bool
    {
        return $this->rank() >= $other->rank();
    }

    /**
     * The role that covers all of them.
     *
     * @param  list<self>  $roles
     */
    public static function highest(array $roles): ?self
    {
        usort($roles, fn (self $a, self $b) => $b->rank() <=> $a->rank());

        return $roles[0] ?? null;
    }

    /** After "may": "look at it" */
    public function may(string $what): string
    {
        return match ($this) {
            self::View => "look at {$what}",
            self::Test => "look at {$what} and test",
            self::Edit => "edit {$what}",
            self::Manage => "edit {$what} and manage its people",
        };
    }

    /** What it is for, beside its name in a list. */
    public function about(): string
    {
        return match ($this) {
            self::View => 'looks, and makes books',
            self::Test => 'also ticks cards, tests the real rig, brings recordings in',
            self::Edit => 'also changes the rig',
            self::Manage => 'also lets people in, makes links and labels, thins the history',
        };
    }

    private function rank(): int
    {
        return (int) array_search($this, self::cases(), true);
    }
}

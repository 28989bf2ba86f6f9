<?php

declare(strict_types=1);

namespace App\Limits;

use App\Models\Picture;
use App\Models\ToneTake;
use App\Models\User;
use Illuminate\Support\Facades\RateLimiter;

/** What an account may have, by `config/limits.php`. */
final class Limits
{
    private const HOUR = 3600;

    /** @return list<Limit> all, for the page of the account */
    public static function of(User $user): array
    {
        return [self::rigs($user), self::pictures($user), self::recordings($user), self::imports($user)];
    }

    public static function rigs(User $user): Limit
    {
        return new Limit('rig', $user->rigs()->count(), self::most('rigs'), 'Delete rigs that are not needed.');
    }

    /** Those in rigs of the account's own, whoever put them there. */
    public static function pictures(User $user): Limit
    {
        $count = Picture::query()->whereIn('rig_id', $user->rigs()->select('id'))->count();

        return new Limit('picture', $count, self::most('pictures'), 'Delete pictures that are not needed.');
    }

    public static function recordings(User $user): Limit
    {
        $count = ToneTake::query()->whereIn('rig_id', $user->rigs()->select('id'))->count();

        return new Limit('recording', $count, self::most('recordings'), 'Delete recordings that are not needed.');
    }

    public static function imports(User $user): Limit
    {
        $minutes = (int) ceil(RateLimiter::availableIn(self::key($user)) / 60);
        $when = $minutes > 0 ? " in {$minutes} ".($minutes === 1 ? 'minute' : 'minutes') : '';

        return new Limit(
            'import in this hour',
            (int) RateLimiter::attempts(self::key($user)),
            self::most('imports_an_hour'),
            "Go on{$when}.",
            'imports in this hour',
        );
    }

    /** Counts one import more. */
    public static function imported(User $user): void
    {
        RateLimiter::hit(self::key($user), self::HOUR);
    }

    private static function key(User $user): string
    {
        return "imports:{$user->id}";
    }

    private static function most(string $what): ?int
    {
        $most = (int) config("limits.{$what}");

        return $most > 0 ? $most : null;
    }
}

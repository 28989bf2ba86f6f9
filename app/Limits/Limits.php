<?php

declare(strict_types=1);

namespace App\Limits;

use App\Models\Crew;
use App\Models\MemberRole;
use App\Models\Picture;
use App\Models\ToneTake;
use App\Models\User;
use Illuminate\Support\Facades\RateLimiter;

/** What an account or a crew may have, by `config/limits.php`. */
final class Limits
{
    private const HOUR = 3600;

    /** @return list<Limit> all, for the page of the account */
    public static function of(User $user): array
    {
        return [self::rigs($user), self::pictures($user), self::recordings($user), self::crews($user), self::imports($user)];
    }

    public static function rigs(User|Crew $owner): Limit
    {
        return self::limit('rig', 'rigs', $owner->rigs()->count(), $owner);
    }

    /** Those in rigs of the owner's, whoever put them there. */
    public static function pictures(User|Crew $owner): Limit
    {
        return self::limit('picture', 'pictures', Picture::query()->whereIn('rig_id', $owner->rigs()->select('id'))->count(), $owner);
    }

    public static function recordings(User|Crew $owner): Limit
    {
        return self::limit('recording', 'recordings', ToneTake::query()->whereIn('rig_id', $owner->rigs()->select('id'))->count(), $owner);
    }

    /** Those that somebody manages. */
    public static function crews(User $user): Limit
    {
        $count = $user->crews(MemberRole::Manage)->count();

        return new Limit('crew', $count, self::most('crews'), 'Delete or leave crews that are not needed.');
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

    private static function limit(string $thing, string $things, int $used, User|Crew $owner): Limit
    {
        $crew = $owner instanceof Crew ? $owner->name : null;

        return new Limit($thing, $used, self::most($things), "Delete {$things} that are not needed.", crew: $crew);
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

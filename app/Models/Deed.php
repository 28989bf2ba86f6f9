<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * Something that somebody did about who may come in: to a rig, a crew or an account. Changes of a rig's content are in its history.
 * Rows are only ever added, and go after a year.
 *
 * @property int $id
 * @property int|null $user_id  who did it; null where that account is gone, or it was done by command
 * @property string $by  their name then
 * @property int|null $whom_id  whose account it was done to
 * @property int|null $rig_id
 * @property int|null $crew_id
 * @property string $what
 * @property string|null $ip_address
 * @property Carbon $created_at
 */
final class Deed extends Model
{
    private const DAYS = 365;

    protected $table = 'deeds';

    public const UPDATED_AT = null;

    protected $fillable = ['user_id', 'by', 'whom_id', 'rig_id', 'crew_id', 'what', 'ip_address'];

    /** @param  User|null  $by  null for a command */
    public static function note(string $what, ?User $by, ?Rig $rig = null, ?User $whom = null, ?Crew $crew = null): void
    {
        self::query()->create([
            'user_id' => $by?->id,
            'by' => $by === null ? 'By command' : mb_strimwidth($by->name, 0, 60),
            'whom_id' => $whom?->id,
            'rig_id' => $rig?->id,
            'crew_id' => $crew?->id,
            'what' => mb_strimwidth($what, 0, 400, '…'),
            'ip_address' => $by === null ? null : request()->ip(),
        ]);
    }

    /**
     * What an account did, and what was done to it, the latest first.
     *
     * @return Builder<Deed>
     */
    public static function of(User $user): Builder
    {
        return self::query()->where(fn (Builder $mine) => $mine->where('user_id', $user->id)->orWhere('whom_id', $user->id))->latest('id');
    }

    /**
     * What was done about who may come into a rig, the latest first.
     *
     * @return Builder<Deed>
     */
    public static function at(Rig $rig): Builder
    {
        return self::query()->where('rig_id', $rig->id)->latest('id');
    }

    /**
     * What was done about who is in a crew, the latest first.
     *
     * @return Builder<Deed>
     */
    public static function in(Crew $crew): Builder
    {
        return self::query()->where('crew_id', $crew->id)->latest('id');
    }

    /** @return int how many are forgotten by this */
    public static function tidy(): int
    {
        return self::query()->where('created_at', '<', now()->subDays(self::DAYS))->delete();
    }
}

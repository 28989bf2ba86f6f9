<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * An edit that was made, by the id that it was sent with. It is written in the edit's own transaction: one that is sent again, because its
 * answer was lost on the way, is not made again.
 *
 * @property string $id
 * @property int $rig_id
 * @property string $said  what was answered
 * @property string|null $more  what was reported of situations that the page does not show
 * @property Carbon $created_at
 */
final class SentEdit extends Model
{
    /** So many days an id is known. */
    private const DAYS = 7;

    protected $table = 'sent_edits';

    public $incrementing = false;

    protected $keyType = 'string';

    public const UPDATED_AT = null;

    protected $fillable = ['id', 'rig_id', 'said', 'more'];

    /** @return int how many are forgotten by this */
    public static function tidy(): int
    {
        return self::query()->where('created_at', '<', now()->subDays(self::DAYS))->delete();
    }
}

<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * One state of a rig: the whole document, who made it, when, and what was done.
 *
 * @property int $rig_id
 * @property int $number
 * @property int|null $parent  number of the revision that it was made from: where undoing leads
 * @property int|null $user_id
 * @property string $what
 * @property string $name  given to it by a person; usually empty
 * @property string $document
 * @property array<string, int>|null $counts  pairs by verdict in the base situation; null where nobody has counted
 * @property int|null $units
 * @property int|null $cables
 * @property string|null $build  of the core that counted
 * @property Carbon $created_at
 */
final class Revision extends Model
{
    protected $table = 'revisions';

    public const UPDATED_AT = null;

    protected $fillable = ['number', 'parent', 'user_id', 'what', 'name', 'document', 'counts', 'units', 'cables', 'build'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['counts' => 'array'];
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}

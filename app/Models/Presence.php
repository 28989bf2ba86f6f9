<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * Who has a rig open, and when their page last said so.
 *
 * @property string $view
 * @property Carbon $seen_at
 * @property-read User $user
 */
final class Presence extends Model
{
    protected $table = 'presences';

    public $timestamps = false;

    protected $fillable = ['rig_id', 'user_id', 'view', 'seen_at'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['seen_at' => 'datetime'];
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}

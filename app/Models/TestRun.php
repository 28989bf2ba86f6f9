<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;

/**
 * A test of the real rig against its plan, beside the rig.
 *
 * @property int $id
 * @property int $rig_id
 * @property int|null $user_id  who began it
 * @property int $revision  of the rig, when it began
 * @property Carbon $started_at
 * @property-read User|null $user
 * @property-read Rig|null $rig
 */
final class TestRun extends Model
{
    protected $table = 'test_runs';

    public $timestamps = false;

    protected $fillable = ['user_id', 'revision', 'started_at'];

    protected $casts = ['started_at' => 'datetime', 'revision' => 'integer'];

    /** @return HasMany<TestAnswer, $this> */
    public function answers(): HasMany
    {
        return $this->hasMany(TestAnswer::class, 'run_id');
    }

    /** @return BelongsTo<Rig, $this> */
    public function rig(): BelongsTo
    {
        return $this->belongsTo(Rig::class);
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}

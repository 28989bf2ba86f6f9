<?php

declare(strict_types=1);

namespace App\Models;

use HiddenWire\Core\Bench\TestStep;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;

/**
 * A test of the real rig against its plan, beside the rig.
 *
 * @phpstan-import-type Measured from \HiddenWire\Core\Bench\TestRecord
 *
 * @property int $id
 * @property int $rig_id
 * @property int|null $user_id  who began it
 * @property int $revision  of the rig, when it began
 * @property Carbon $started_at
 * @property list<array{step: string, at: int, late: float}>|null $played  the last few steps: when each was played, in ms since 1970, and
 *     how much later its listener hears it, ms
 * @property list<Measured>|null $measured  what tone tests measured, of a test that came in as a file
 * @property-read User|null $user
 * @property-read Rig|null $rig
 */
final class TestRun extends Model
{
    protected $table = 'test_runs';

    public $timestamps = false;

    protected $fillable = ['user_id', 'revision', 'started_at', 'played', 'measured'];

    protected $casts = ['started_at' => 'datetime', 'revision' => 'integer', 'played' => 'array', 'measured' => 'array'];

    /** So many are remembered: more are not on their way at once. */
    private const PLAYED = 8;

    public function playsNow(TestStep $step, int $ms): void
    {
        $this->update(['played' => array_slice(
            [...($this->played ?? []), ['step' => $step->key, 'at' => $ms, 'late' => $step->lateMs]],
            -self::PLAYED,
        )]);
    }

    /**
     * What was played last, for whoever hears it later.
     *
     * @return list<array{step: string, ago: int, late: float}> how many ms ago, and after how many ms it comes by the plan
     */
    public function playedAt(int $ms): array
    {
        return array_map(
            fn (array $one) => ['step' => $one['step'], 'ago' => $ms - $one['at'], 'late' => (float) $one['late']],
            $this->played ?? [],
        );
    }

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

<?php

declare(strict_types=1);

namespace App\Models;

use HiddenWire\Core\Bench\Heard;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * What was found at a step of a test, by the last who said so.
 *
 * @property int $run_id
 * @property string $step
 * @property string $state  of what was expected then: another now, and the answer is out of date
 * @property Heard $heard
 * @property string $note
 * @property int $at_ms  when, by the clock of the device, in milliseconds since 1970
 * @property int|null $user_id
 * @property-read User|null $user
 */
final class TestAnswer extends Model
{
    protected $table = 'test_answers';

    public $timestamps = false;

    protected $fillable = ['step', 'state', 'heard', 'note', 'at_ms', 'user_id'];

    protected $casts = ['heard' => Heard::class, 'at_ms' => 'integer'];

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}

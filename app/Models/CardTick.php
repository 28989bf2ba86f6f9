<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * The state of a step of a card: ticked or not, by its last change.
 *
 * @property int $rig_id
 * @property string $card
 * @property string $step
 * @property bool $is_on
 * @property int $at_ms  when, by the clock of the device that it was ticked on, in milliseconds since 1970
 * @property int|null $user_id
 */
final class CardTick extends Model
{
    protected $table = 'card_ticks';

    public $timestamps = false;

    protected $fillable = ['card', 'step', 'is_on', 'at_ms', 'user_id'];

    protected $casts = ['is_on' => 'boolean', 'at_ms' => 'integer'];

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}

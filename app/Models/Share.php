<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;
use Illuminate\Support\Str;

/**
 * A link by which anybody who has it sees one rig's book, or what its labels say, and nothing else.
 *
 * @property int $id
 * @property int $rig_id
 * @property string $name  what it is for
 * @property string $digest  of its secret; the secret itself is kept nowhere
 * @property Carbon|null $expires_at
 * @property Opens $opens
 * @property Carbon $created_at
 */
final class Share extends Model
{
    protected $table = 'shares';

    /** Letters and digits: 238 bits that nobody guesses. */
    private const SECRET = 40;

    public $timestamps = false;

    protected $fillable = ['name', 'digest', 'expires_at', 'opens'];

    protected $attributes = ['opens' => 'book'];

    protected $casts = ['expires_at' => 'datetime', 'created_at' => 'datetime', 'opens' => Opens::class];

    /** @return array{string, self} the secret, which is shown once, and what is to be stored */
    public static function withSecret(string $name, ?Carbon $until, Opens $opens = Opens::Book): array
    {
        $secret = Str::random(self::SECRET);

        return [$secret, new self([
            'name' => $name, 'digest' => self::digest($secret), 'expires_at' => $until, 'opens' => $opens,
        ])];
    }

    /** The one of a secret that holds still and opens this. */
    public static function of(string $secret, Opens $opens = Opens::Book): ?self
    {
        $share = self::query()->with('rig')->where('digest', self::digest($secret))->where('opens', $opens)->first();

        return $share === null || $share->hasExpired() ? null : $share;
    }

    public function hasExpired(): bool
    {
        return $this->expires_at !== null && $this->expires_at->isPast();
    }

    /** @return BelongsTo<Rig, $this> */
    public function rig(): BelongsTo
    {
        return $this->belongsTo(Rig::class);
    }

    private static function digest(string $secret): string
    {
        return hash('sha256', $secret);
    }
}

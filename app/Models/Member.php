<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * Somebody who is let into one rig.
 *
 * @property int $id
 * @property int $user_id
 * @property MemberRole $role
 * @property Carbon|null $accepted_at  null while the invitation waits
 */
final class Member extends Model
{
    protected $table = 'members';

    protected $fillable = ['user_id', 'role', 'accepted_at'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['role' => MemberRole::class, 'accepted_at' => 'datetime'];
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

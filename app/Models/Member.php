<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * Somebody whom a rig's owner lets in.
 *
 * @property int $user_id
 * @property MemberRole $role
 */
final class Member extends Model
{
    protected $fillable = ['user_id', 'role'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['role' => MemberRole::class];
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}

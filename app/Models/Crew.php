<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * People who own rigs together. Its rigs stay when one of them goes.
 *
 * @property int $id
 * @property string $name
 */
final class Crew extends Model
{
    protected $table = 'crews';

    protected $fillable = ['name'];

    /** @return HasMany<CrewMember, $this> */
    public function members(): HasMany
    {
        return $this->hasMany(CrewMember::class);
    }

    /** @return HasMany<Rig, $this> */
    public function rigs(): HasMany
    {
        return $this->hasMany(Rig::class);
    }

    /** What a user may do with its rigs; null where they are not in it, or have not accepted yet. */
    public function roleOf(User $user): ?MemberRole
    {
        return $this->members()->where('user_id', $user->id)->whereNotNull('accepted_at')->first()?->role;
    }

    /** @return Builder<CrewMember> those who manage it */
    public function managers(): Builder
    {
        return $this->members()->getQuery()->where('role', MemberRole::Manage)->whereNotNull('accepted_at');
    }
}

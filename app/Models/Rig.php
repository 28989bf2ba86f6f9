<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;

/**
 * A rig as its owner keeps it: its content is in the tables of {@see Content}, its past in the revisions.
 *
 * @property int $id
 * @property int $user_id
 * @property string $name
 * @property string $summary
 * @property int $revision  counts every change of state
 * @property int $at  number of the revision whose state it is in
 * @property Carbon $updated_at
 */
final class Rig extends Model
{
    protected $fillable = ['name', 'summary', 'revision', 'at'];

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return HasMany<Revision, $this> */
    public function revisions(): HasMany
    {
        return $this->hasMany(Revision::class);
    }

    /** @return HasMany<Member, $this> */
    public function members(): HasMany
    {
        return $this->hasMany(Member::class);
    }

    /** @return HasMany<Presence, $this> */
    public function presences(): HasMany
    {
        return $this->hasMany(Presence::class);
    }

    /** @return HasMany<Picture, $this> */
    public function pictures(): HasMany
    {
        return $this->hasMany(Picture::class);
    }

    /** What a user may do here: true to edit, false to look only, null for nothing at all. */
    public function mayEdit(User $user): ?bool
    {
        $role = $this->user_id === $user->id ? MemberRole::Edit : $this->members()->where('user_id', $user->id)->first()?->role;

        return $role === null ? null : $role === MemberRole::Edit;
    }

    /** @return HasMany<Layout, $this> */
    public function layouts(): HasMany
    {
        return $this->hasMany(Layout::class);
    }
}

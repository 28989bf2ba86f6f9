<?php

declare(strict_types=1);

namespace App\Models;

use Database\Factories\UserFactory;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Foundation\Auth\User as Authenticatable;

/**
 * Somebody who signs in.
 *
 * @property int $id
 * @property string $name
 * @property string $email
 * @property string $password
 */
final class User extends Authenticatable
{
    /** @use HasFactory<UserFactory> */
    use HasFactory;

    protected $fillable = ['name', 'email', 'password'];

    protected $hidden = ['password', 'remember_token'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['password' => 'hashed'];
    }

    /** @return HasMany<OwnModel, $this> */
    public function ownModels(): HasMany
    {
        return $this->hasMany(OwnModel::class);
    }

    /** @return Builder<Rig> their own rigs and those that they are let into */
    public function visibleRigs(): Builder
    {
        return Rig::query()->where(fn (Builder $query) => $query->where('user_id', $this->id)->orWhereHas(
            'members',
            fn (Builder $members) => $members->where('user_id', $this->id),
        ));
    }

    /** @return HasMany<Rig, $this> */
    public function rigs(): HasMany
    {
        return $this->hasMany(Rig::class);
    }
}

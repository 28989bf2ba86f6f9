<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * Somebody in a crew.
 *
 * @property int $id
 * @property int $crew_id
 * @property int $user_id
 * @property MemberRole $role
 * @property Carbon|null $accepted_at  null while the invitation waits
 */
final class CrewMember extends Model
{
    protected $table = 'crew_members';

    protected $fillable = ['user_id', 'role', 'accepted_at'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['role' => MemberRole::class, 'accepted_at' => 'datetime'];
    }

    /** @return BelongsTo<Crew, $this> */
    public function crew(): BelongsTo
    {
        return $this->belongsTo(Crew::class);
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}

<?php

declare(strict_types=1);

namespace App\Models;

use HiddenWire\Core\Rig\Rig as CoreRig;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/**
 * A rig as its owner, an account or a crew, keeps it: its content is in the tables of {@see Content}, its past in the revisions.
 *
 * @property int $id
 * @property int|null $user_id  the account that owns it; null where a crew does
 * @property int|null $crew_id  the crew that owns it
 * @property string $name
 * @property string $summary
 * @property string|null $first_day  of those on which it is used: "2026-12-05"
 * @property string|null $last_day
 * @property int $revision  counts every change of state
 * @property int $at  number of the revision whose state it is in
 * @property string $state  a name of its own for every state that the rig is ever in
 * @property string|null $trouble  why it can't be read
 * @property int|null $readable  number of the last revision that can be read, where the rig can't
 * @property bool $thins  whether its history is thinned out
 * @property Carbon $updated_at
 */
final class Rig extends Model
{
    private ?bool $wasTested = null;

    protected $table = 'rigs';

    protected $fillable = ['name', 'summary', 'first_day', 'last_day', 'revision', 'at', 'state', 'trouble', 'readable', 'thins'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['thins' => 'boolean'];
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return BelongsTo<Crew, $this> */
    public function crew(): BelongsTo
    {
        return $this->belongsTo(Crew::class);
    }

    /** Who owns it; null where that is just being deleted. */
    public function owner(): User|Crew|null
    {
        return $this->crew_id === null ? $this->user : $this->crew;
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

    /** @return HasMany<TestRun, $this> */
    public function testRuns(): HasMany
    {
        return $this->hasMany(TestRun::class);
    }

    /** Whether it was ever tested. */
    public function isTested(): bool
    {
        return $this->wasTested ??= $this->testRuns()->exists();
    }

    /** Takes over whether it was from whoever asked it with something else. */
    public function noteTested(bool $isTested): void
    {
        $this->wasTested = $isTested;
    }

    /** @return HasMany<Picture, $this> */
    public function pictures(): HasMany
    {
        return $this->hasMany(Picture::class);
    }

    /** From now on it is in the state of a revision. Every time has a name of its own, so that nothing kept ready is taken for another. */
    public function enter(CoreRig $content, int $number): void
    {
        $this->fill([
            'name' => $content->name,
            'summary' => $content->summary,
            'first_day' => $content->days?->from,
            'last_day' => $content->days?->to,
            'revision' => $this->revision + 1,
            'at' => $number,
            'state' => bin2hex(random_bytes(16)),
            'trouble' => null,
            'readable' => null,
        ])->save();
    }

    /** What a user may do here, as its owner, in its crew or as a member; null for nothing at all. */
    public function roleOf(User $user): ?MemberRole
    {
        if ($this->user_id === $user->id) {
            return MemberRole::Manage;
        }
        $roles = DB::table('members')->select('role')->where('rig_id', $this->id)->where('user_id', $user->id)->whereNotNull('accepted_at');
        if ($this->crew_id !== null) {
            $roles->unionAll(DB::table('crew_members')->select('role')->where('crew_id', $this->crew_id)->where('user_id', $user->id)
                ->whereNotNull('accepted_at'));
        }

        return MemberRole::highest(array_values($roles->pluck('role')->map(MemberRole::from(...))->all()));
    }

    public function allows(User $user, MemberRole $role): bool
    {
        return $this->roleOf($user)?->covers($role) === true;
    }

    /** @return HasMany<MadeBook, $this> */
    public function books(): HasMany
    {
        return $this->hasMany(MadeBook::class);
    }

    /** @return HasMany<ToneTake, $this> */
    public function takes(): HasMany
    {
        return $this->hasMany(ToneTake::class);
    }

    /** @return HasMany<Share, $this> */
    public function shares(): HasMany
    {
        return $this->hasMany(Share::class);
    }

    /** @return HasMany<Layout, $this> */
    public function layouts(): HasMany
    {
        return $this->hasMany(Layout::class);
    }
}

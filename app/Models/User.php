<?php

declare(strict_types=1);

namespace App\Models;

use Database\Factories\UserFactory;
use HiddenWire\Core\Quantity\Lengths;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Foundation\Auth\User as Authenticatable;
use Illuminate\Notifications\Notifiable;
use Illuminate\Support\Facades\DB;

/**
 * Somebody who signs in.
 *
 * @property int $id
 * @property string $name
 * @property string $email
 * @property string $password
 * @property Lengths $lengths  in what they read and write lengths
 * @property string|null $two_step_secret  null where the password is enough; closed in the database
 * @property int $two_step_last  the time step of the code that was taken last
 * @property list<string>|null $recovery_codes  digests of those that are left
 */
final class User extends Authenticatable
{
    /** @use HasFactory<UserFactory> */
    use HasFactory;

    use Notifiable;

    protected $table = 'users';

    protected $fillable = ['name', 'email', 'password', 'lengths'];

    protected $attributes = ['lengths' => 'metric', 'two_step_secret' => null, 'two_step_last' => 0, 'recovery_codes' => null];

    protected $hidden = ['password', 'remember_token', 'two_step_secret', 'recovery_codes'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['password' => 'hashed', 'lengths' => Lengths::class, 'two_step_secret' => 'encrypted', 'recovery_codes' => 'array'];
    }

    /** Whether signing in takes a code beside the password. */
    public function hasTwoSteps(): bool
    {
        return $this->two_step_secret !== null;
    }

    /** In bytes; null where the password is enough. */
    public function twoStepSecret(): ?string
    {
        return $this->two_step_secret === null ? null : (string) base64_decode($this->two_step_secret, true);
    }

    /** @return HasMany<OwnModel, $this> */
    public function ownModels(): HasMany
    {
        return $this->hasMany(OwnModel::class);
    }

    /**
     * Their own rigs, those of their crews, and those of others to which they have accepted an invitation: by the indexes of owners and of
     * members, never by looking through all rigs.
     *
     * @param  list<int>|null  $crews  the numbers of their crews, where they are known already
     * @return Builder<Rig>
     */
    public function visibleRigs(?array $crews = null): Builder
    {
        $mine = DB::table('rigs')->select('id')->where('user_id', $this->id)
            ->union(DB::table('members')->select('rig_id')->where('user_id', $this->id)->whereNotNull('accepted_at'));
        // By their numbers: most rigs are of no crew, which the database takes for a crew of half of all rigs.
        $crews ??= DB::table('crew_members')->where('user_id', $this->id)->whereNotNull('accepted_at')->pluck('crew_id')->all();
        if ($crews !== []) {
            $mine->union(DB::table('rigs')->select('id')->whereIn('crew_id', $crews));
        }

        return Rig::query()->select('rigs.*')->joinSub($mine, 'mine', 'mine.id', '=', 'rigs.id');
    }

    /** @return Builder<Member> invitations to rigs that they have not answered */
    public function invitations(): Builder
    {
        return Member::query()->where('user_id', $this->id)->whereNull('accepted_at');
    }

    /** @return HasMany<CrewMember, $this> crews that they are in or invited to */
    public function crewMemberships(): HasMany
    {
        return $this->hasMany(CrewMember::class);
    }

    /** @return Builder<CrewMember> invitations to crews that they have not answered */
    public function crewInvitations(): Builder
    {
        return CrewMember::query()->where('user_id', $this->id)->whereNull('accepted_at');
    }

    /** @return Builder<Crew> the crews that they are in, by name */
    public function crews(MemberRole $atLeast = MemberRole::View): Builder
    {
        $roles = array_values(array_filter(MemberRole::cases(), fn (MemberRole $role) => $role->covers($atLeast)));

        return Crew::query()->whereIn('id', CrewMember::query()->select('crew_id')->where('user_id', $this->id)
            ->whereNotNull('accepted_at')->whereIn('role', $roles))->orderBy('name')->orderBy('id');
    }

    /** @return HasMany<Rig, $this> */
    public function rigs(): HasMany
    {
        return $this->hasMany(Rig::class);
    }
}

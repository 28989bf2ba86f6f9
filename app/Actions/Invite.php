<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Crew;
use App\Models\Deed;
use App\Models\MemberRole;
use App\Models\Rig;
use App\Models\User;

/** Invites the account of an address to a rig or a crew. For whoever is in it already it changes what they may do. */
final class Invite
{
    /** @return string the message to whoever invites */
    public function __invoke(User $by, Rig|Crew $to, string $email, MemberRole $role): string
    {
        $rig = $to instanceof Rig ? $to : null;
        $crew = $to instanceof Crew ? $to : null;
        $user = User::query()->where('email', $email)->first();
        $what = $rig === null ? "the rigs of the crew {$to->name}" : $to->name;
        Deed::note("Invited {$email} to {$role->may($what)}.", $by, $rig, $user, $crew);
        $member = $user === null ? null : $to->members()->firstOrNew(['user_id' => $user->id]);
        $member?->fill(['role' => $role])->save();

        // Whether somebody has an account here is nobody else's business, unless they are in already.
        return $user !== null && $member?->accepted_at !== null
            ? "{$user->name} may {$role->may($rig === null ? 'the rigs of this crew' : 'this rig')} now."
            : "Invited. If {$email} has an account here, the invitation waits in their list of rigs.";
    }
}

<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\MemberRole;
use App\Models\Rig;
use App\Models\User;
use Illuminate\Auth\Access\Response;

/** A rig is seen by its owner, its crew, and those who are let in, each as far as their role goes. To anybody else it does not exist. */
final class RigPolicy
{
    public function view(User $user, Rig $rig): Response
    {
        return $this->needs(MemberRole::View, $user, $rig, '');
    }

    /** Ticking cards, testing the real rig, recordings: what is found changes nothing of the rig. */
    public function test(User $user, Rig $rig): Response
    {
        return $this->needs(MemberRole::Test, $user, $rig, 'You may look at this rig; ticking and testing takes the role test.');
    }

    public function update(User $user, Rig $rig): Response
    {
        return $this->needs(
            MemberRole::Edit,
            $user,
            $rig,
            'You may look at this rig; only its owner and those invited to edit can change it.',
        );
    }

    /** Saying who may come in, and how much of the past is kept. */
    public function manage(User $user, Rig $rig): Response
    {
        return $this->needs(MemberRole::Manage, $user, $rig, 'Only the rig\'s owner and those who manage it can do this.');
    }

    /** Deleting a rig, or handing it over: its owner, or whoever manages the crew that owns it. */
    public function own(User $user, Rig $rig): Response
    {
        $owns = $rig->crew_id === null ? $rig->user_id === $user->id : $rig->crew?->roleOf($user) === MemberRole::Manage;

        return match (true) {
            $owns => Response::allow(),
            $rig->roleOf($user) === null => Response::denyAsNotFound(),
            default => Response::deny($rig->crew_id === null
                ? 'Only the rig\'s owner can do this.' : 'Only those who manage the rig\'s crew can do this.'),
        };
    }

    private function needs(MemberRole $needed, User $user, Rig $rig, string $refusal): Response
    {
        $role = $rig->roleOf($user);

        return match (true) {
            $role === null => Response::denyAsNotFound(),
            $role->covers($needed) => Response::allow(),
            default => Response::deny($refusal),
        };
    }
}

<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Rig;
use App\Models\User;
use Illuminate\Auth\Access\Response;

/** A rig is seen by its owner and by those whom the owner lets in, to look or to edit. To anybody else it does not exist. */
final class RigPolicy
{
    public function view(User $user, Rig $rig): Response
    {
        return $rig->mayEdit($user) === null ? Response::denyAsNotFound() : Response::allow();
    }

    public function update(User $user, Rig $rig): Response
    {
        return match ($rig->mayEdit($user)) {
            null => Response::denyAsNotFound(),
            false => Response::deny('You may look at this rig; only its owner and those invited to edit can change it.'),
            true => Response::allow(),
        };
    }

    /** Deleting a rig, and saying who may come in. */
    public function own(User $user, Rig $rig): Response
    {
        return $rig->user_id === $user->id
            ? Response::allow()
            : ($rig->mayEdit($user) === null ? Response::denyAsNotFound() : Response::deny('Only the rig\'s owner can do this.'));
    }
}

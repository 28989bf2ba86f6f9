<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Crew;
use App\Models\MemberRole;
use App\Models\User;
use Illuminate\Auth\Access\Response;

/** A crew is seen by whoever is in it. To anybody else it does not exist. */
final class CrewPolicy
{
    public function view(User $user, Crew $crew): Response
    {
        return $crew->roleOf($user) === null ? Response::denyAsNotFound() : Response::allow();
    }

    /** Its name, its people, its end. */
    public function manage(User $user, Crew $crew): Response
    {
        return match ($crew->roleOf($user)) {
            null => Response::denyAsNotFound(),
            MemberRole::Manage => Response::allow(),
            default => Response::deny('Only those who manage the crew can do this.'),
        };
    }
}

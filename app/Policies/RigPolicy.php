<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Rig;
use App\Models\User;
use Illuminate\Auth\Access\Response;

/** A rig is seen by its owner only; to anybody else it does not exist. */
final class RigPolicy
{
    public function view(User $user, Rig $rig): Response
    {
        return $this->isOwner($user, $rig);
    }

    public function update(User $user, Rig $rig): Response
    {
        return $this->isOwner($user, $rig);
    }

    public function delete(User $user, Rig $rig): Response
    {
        return $this->isOwner($user, $rig);
    }

    private function isOwner(User $user, Rig $rig): Response
    {
        return $rig->user_id === $user->id ? Response::allow() : Response::denyAsNotFound();
    }
}

<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Crew;
use App\Models\CrewMember;
use App\Models\MemberRole;
use App\Rigs\RigTransaction;
use App\Rigs\RowLock;

/** Takes somebody out of a crew, or gives them another role. Somebody always manages a crew: two who go at once go one after the other. */
final class LeaveCrew
{
    /** @return bool whether it was done; not where nobody would manage the crew any more */
    public function __invoke(Crew $crew, CrewMember $member, ?MemberRole $now = null): bool
    {
        return RigTransaction::do(function () use ($crew, $member, $now): bool {
            RowLock::crew($crew->id);
            $isManager = $crew->managers()->whereKey($member->id)->exists();
            if ($isManager && $now !== MemberRole::Manage && $crew->managers()->count() === 1) {
                return false;
            }
            $row = CrewMember::query()->whereKey($member->id);
            $now === null ? $row->delete() : $row->update(['role' => $now]);

            return true;
        }, isOnce: true);
    }
}

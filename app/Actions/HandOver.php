<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Crew;
use App\Models\Deed;
use App\Models\Rig;
use App\Models\User;
use App\Rigs\RigTransaction;
use App\Rigs\RowLock;

/** Gives a rig to another owner, an account or a crew. Its people, links and history stay. */
final class HandOver
{
    public function __invoke(User $by, Rig $rig, User|Crew $to): void
    {
        RigTransaction::do(function () use ($rig, $to): void {
            RowLock::rig($rig->id);
            Rig::query()->whereKey($rig->id)->toBase()->update([
                'user_id' => $to instanceof User ? $to->id : null,
                'crew_id' => $to instanceof Crew ? $to->id : null,
            ]);
            // Whoever has it needs no invitation to it.
            if ($to instanceof User) {
                $rig->members()->where('user_id', $to->id)->delete();
            }
        }, isOnce: true);
        $rig->refresh();
        $words = $to instanceof Crew ? "the crew {$to->name}" : $to->name;
        Deed::note("Handed {$rig->name} over to {$words}.", $by, $rig, $to instanceof User ? $to : null, $to instanceof Crew ? $to : null);
    }
}

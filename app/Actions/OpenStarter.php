<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Rig;
use App\Models\User;
use App\Rigs\Starters;

/** Opens a starter as a copy of a user's own, by the ordinary import; its map comes laid out. */
final readonly class OpenStarter
{
    public function __construct(private ImportRig $import, private Starters $starters)
    {
    }

    public function __invoke(User $owner, string $id): Rig
    {
        return $this->open($owner, $id, $this->starters, "Opened from the starter {$id}");
    }

    /** Any rig that ships. */
    public function open(User $owner, string $id, Starters $shipped, string $what): Rig
    {
        $rig = ($this->import)($owner, $shipped->text($id), $what);
        foreach ($shipped->layouts($id) as $depth => $layout) {
            $rig->layouts()->create(['depth' => $depth, ...$layout]);
        }

        return $rig;
    }
}

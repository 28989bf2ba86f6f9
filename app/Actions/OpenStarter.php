<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Crew;
use App\Models\Rig;
use App\Models\User;
use App\Rigs\Starters;

/** Opens a starter as a copy of a user's own, or of a crew's, by the ordinary import; its map comes laid out. */
final readonly class OpenStarter
{
    public function __construct(private ImportRig $import, private Starters $starters)
    {
    }

    public function __invoke(User $by, string $id, ?Crew $crew = null): Rig
    {
        return $this->open($by, $id, $this->starters, "Opened from the starter {$id}", $crew);
    }

    /** Any rig that ships. */
    public function open(User $by, string $id, Starters $shipped, string $what, ?Crew $crew = null): Rig
    {
        $rig = ($this->import)($by, $shipped->text($id), $what, $crew);
        foreach ($shipped->layouts($id) as $depth => $layout) {
            $rig->layouts()->create(['depth' => $depth, ...$layout]);
        }

        return $rig;
    }
}

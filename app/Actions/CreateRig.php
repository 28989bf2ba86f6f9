<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Crew;
use App\Models\Rig;
use App\Models\User;
use HiddenWire\Core\Document\DocumentWriter;
use HiddenWire\Core\Rig\Rig as CoreRig;
use HiddenWire\Core\Rig\RigParts;
use HiddenWire\Core\Rig\Situation;

/** Begins a rig with nothing in it but its base situation, by the ordinary import. */
final readonly class CreateRig
{
    public function __construct(private ImportRig $import)
    {
    }

    public function __invoke(User $by, string $name, ?Crew $crew = null): Rig
    {
        $rig = new CoreRig(new RigParts($name, situations: [new Situation('on-air', 'On air')]));

        return ($this->import)($by, (new DocumentWriter)->write($rig), 'Created', $crew);
    }
}

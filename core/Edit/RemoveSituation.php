<?php

declare(strict_types=1);

namespace HiddenWire\Core\Edit;

use HiddenWire\Core\Rig\Format\References;
use HiddenWire\Core\Rig\InvalidRig;
use HiddenWire\Core\Rig\Problem;
use HiddenWire\Core\Rig\Rig;

/** Takes a situation away, with what is wished in it only. */
final readonly class RemoveSituation implements RigEdit
{
    public function __construct(public string $situation)
    {
    }

    /** @throws InvalidRig for the base, which every other is described against */
    public function applyTo(Rig $rig): Rig
    {
        if ($rig->isBase($this->situation)) {
            throw new InvalidRig([new Problem(
                '/situations/0',
                "{$rig->situations[$this->situation]->name} is the default that the others are described against; it stays.",
            )]);
        }

        return new Rig(References::gone($rig->parts(), 'situations', $this->situation));
    }

    public function words(Rig $rig): string
    {
        return "Removed the situation {$rig->situations[$this->situation]->name}";
    }
}

<?php

declare(strict_types=1);

namespace HiddenWire\Core\Edit;

use HiddenWire\Core\Rig\Cable;
use HiddenWire\Core\Rig\Format\References;
use HiddenWire\Core\Rig\Rig;

/** Takes a cable out. */
final readonly class Unplug implements RigEdit
{
    public function __construct(public string $cable)
    {
    }

    public function applyTo(Rig $rig): Rig
    {
        return new Rig(References::gone($rig->parts(), 'cables', $this->cable));
    }

    public function words(Rig $rig): string
    {
        return "Unplugged {$rig->cables[$this->cable]->label}";
    }
}

<?php

declare(strict_types=1);

namespace HiddenWire\Core\Edit;

use HiddenWire\Core\Rig\Format\References;
use HiddenWire\Core\Rig\Rig;

/** Takes a listener away, with what is wished for them. */
final readonly class RemoveListener implements RigEdit
{
    public function __construct(public string $listener)
    {
    }

    public function applyTo(Rig $rig): Rig
    {
        return new Rig(References::gone($rig->parts(), 'listeners', $this->listener));
    }

    public function words(Rig $rig): string
    {
        return "Removed the listener {$rig->listeners[$this->listener]->name}";
    }
}

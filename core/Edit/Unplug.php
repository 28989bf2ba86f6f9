<?php

declare(strict_types=1);

namespace HiddenWire\Core\Edit;

use HiddenWire\Core\Rig\Cable;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Situation;

/** Takes a cable out. */
final readonly class Unplug implements RigEdit
{
    public function __construct(public string $cable)
    {
    }

    public function applyTo(Rig $rig): Rig
    {
        return new Rig($rig->parts()->with(
            cables: array_values(array_filter($rig->cables, fn (Cable $cable) => $cable->id !== $this->cable)),
            situations: array_map(fn (Situation $situation) => $situation->without([], [$this->cable]), array_values($rig->situations)),
        ));
    }

    public function words(Rig $rig): string
    {
        return "Unplugged {$rig->cables[$this->cable]->label}";
    }
}

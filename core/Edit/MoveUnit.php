<?php

declare(strict_types=1);

namespace HiddenWire\Core\Edit;

use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Unit;

/** Puts a unit into another place. Cables, routes and picks stay. */
final readonly class MoveUnit implements RigEdit
{
    public function __construct(public string $unit, public string $place)
    {
    }

    public function applyTo(Rig $rig): Rig
    {
        return Settings::ofUnit($rig, $this->unit, fn (Unit $unit) => $unit->with(place: $this->place));
    }

    public function words(Rig $rig): string
    {
        return "{$rig->units[$this->unit]->name} moved to {$rig->places[$this->place]->name}";
    }
}

<?php

declare(strict_types=1);

namespace HiddenWire\Core\Edit;

use HiddenWire\Core\Rig\Naming;
use HiddenWire\Core\Rig\Rig;

/**
 * Another unit of the same model, set the same, in the same place; nothing is plugged into it. Serial number and notes belong to the one
 * piece and are not copied.
 */
final readonly class CopyUnit implements RigEdit
{
    public function __construct(public string $unit)
    {
    }

    public function applyTo(Rig $rig): Rig
    {
        $unit = $rig->units[$this->unit];
        $name = $this->name($rig);

        return new Rig($rig->parts()->with(units: [
            ...array_values($rig->units),
            $unit->with(id: Naming::id($name, array_keys($rig->units)), name: $name, serial: '', inventory: '', notes: '', start: null),
        ]));
    }

    public function words(Rig $rig): string
    {
        return "New unit: {$this->name($rig)}, a copy of {$rig->units[$this->unit]->name}";
    }

    private function name(Rig $rig): string
    {
        return Naming::next($rig->units[$this->unit]->name, array_map(fn ($unit) => $unit->name, array_values($rig->units)));
    }
}

<?php

declare(strict_types=1);

namespace HiddenWire\Core\Situations;

use HiddenWire\Core\Equipment\EquipmentModel;
use HiddenWire\Core\Rig\Rig;

/** What all that is set at a unit shares. */
trait InUnit
{
    private readonly Rig $rig;

    private readonly string $unit;

    public function unit(): string
    {
        return $this->unit;
    }

    private function name(): string
    {
        return $this->rig->units[$this->unit]->name;
    }

    private function model(): EquipmentModel
    {
        return $this->rig->modelOf($this->unit);
    }

    /** How many points come before one. */
    private function placeOf(string $point): int
    {
        return (int) array_search($point, array_keys($this->model()->points), true);
    }
}

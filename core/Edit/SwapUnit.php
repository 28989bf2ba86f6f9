<?php

declare(strict_types=1);

namespace HiddenWire\Core\Edit;

use HiddenWire\Core\Equipment\EquipmentModel;
use HiddenWire\Core\Rig\Rig;

/**
 * Puts a unit of another model in a unit's stead: its cables, settings, picks, sounds and listeners stay as far as the other model has
 * what they need.
 */
final readonly class SwapUnit implements RigEdit
{
    public function __construct(public string $unit, public EquipmentModel $model)
    {
    }

    public function applyTo(Rig $rig): Rig
    {
        return (new Swap($rig, $rig->units[$this->unit], $this->model))->rig;
    }

    public function words(Rig $rig): string
    {
        $losses = $this->losses($rig);

        return "{$rig->units[$this->unit]->name} is a {$this->model->name} now"
            .($losses === [] ? '' : '; what did not fit: '.implode(', ', $losses));
    }

    /** @return list<string> what will not fit, in words, for the question before and the history after */
    public function losses(Rig $rig): array
    {
        return (new Swap($rig, $rig->units[$this->unit], $this->model))->losses;
    }
}

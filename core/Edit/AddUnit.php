<?php

declare(strict_types=1);

namespace HiddenWire\Core\Edit;

use HiddenWire\Core\Equipment\EquipmentModel;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Unit;

/** Adds a unit of a model to a place; the rig takes the model in if it does not have it. */
final readonly class AddUnit implements RigEdit
{
    public function __construct(public EquipmentModel $model, public string $place, public string $name)
    {
    }

    public function applyTo(Rig $rig): Rig
    {
        // A model of this id that the rig changed is a model of its own there, and stays.
        $models = $rig->models + [$this->model->id => $this->model];

        return new Rig($rig->parts()->with(models: $models, units: [...array_values($rig->units), new Unit(Naming::id($this->name, array_keys($rig->units)), $this->model->id, $this->place, $this->name)]));
    }

    public function words(Rig $rig): string
    {
        return "New unit: {$this->name} ({$this->model->name}), {$rig->places[$this->place]->name}";
    }
}

<?php

declare(strict_types=1);

namespace HiddenWire\Core\Edit;

use HiddenWire\Core\Equipment\EquipmentModel;
use HiddenWire\Core\Rig\Naming;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Unit;

/** Adds units of a model to a place; the rig takes the model in if it does not have it. */
final readonly class AddUnit implements RigEdit
{
    public function __construct(public EquipmentModel $model, public string $place, public string $name, public int $count = 1)
    {
    }

    public function applyTo(Rig $rig): Rig
    {
        // A model of this id that the rig changed is a model of its own there, and stays.
        $models = $rig->models + [$this->model->id => $this->model];
        $units = $rig->units;
        foreach ($this->names($rig) as $name) {
            $id = Naming::id($name, array_keys($units));
            $units[$id] = new Unit($id, $this->model->id, $this->place, $name);
        }

        return new Rig($rig->parts()->with(models: $models, units: array_values($units)));
    }

    public function words(Rig $rig): string
    {
        return 'New unit'.($this->count > 1 ? 's' : '').': '.implode(', ', $this->names($rig))
            ." ({$this->model->name}), {$rig->places[$this->place]->name}";
    }

    /** @return list<string> the name asked for, then the same with numbers */
    private function names(Rig $rig): array
    {
        $names = [$this->name];
        while (count($names) < $this->count) {
            $names[] = Naming::next($this->name, [...$names, ...array_map(fn (Unit $unit) => $unit->name, array_values($rig->units))]);
        }

        return $names;
    }
}

<?php

declare(strict_types=1);

namespace HiddenWire\Core\Edit;

use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Unit;

/** Gives a point of a unit (a strip, a bus, a source, a track) a name of somebody's own; an empty one takes it away. */
final readonly class NamePoint implements RigEdit
{
    public function __construct(public PointRef $at, public string $name)
    {
    }

    public function applyTo(Rig $rig): Rig
    {
        return Settings::ofUnit($rig, $this->at->unit, function (Unit $unit): Unit {
            $names = $unit->names;
            if ($this->name === '') {
                unset($names[$this->at->point]);
            } else {
                $names[$this->at->point] = $this->name;
            }

            return $unit->with(names: $names);
        });
    }

    public function words(Rig $rig): string
    {
        $unit = $rig->units[$this->at->unit];
        $label = $rig->models[$unit->model]->points[$this->at->point]->label;

        return "{$unit->name}: {$label} ".($this->name === '' ? 'has no name of its own' : "is called {$this->name}");
    }
}

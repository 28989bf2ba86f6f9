<?php

declare(strict_types=1);

namespace HiddenWire\Core\Edit;

use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Unit;

/** The order in which a computer's programs are started: those named first, in that order; those not named have no turn. */
final readonly class OrderStart implements RigEdit
{
    /** @param  list<string>  $programs  ids of units in the place */
    public function __construct(public string $place, public array $programs)
    {
    }

    public function applyTo(Rig $rig): Rig
    {
        $turns = array_flip($this->programs);

        return new Rig($rig->parts()->with(units: array_map(
            fn (Unit $unit) => $unit->place === $this->place && $rig->modelOf($unit)->isProgram()
                ? $unit->with(start: isset($turns[$unit->id]) ? $turns[$unit->id] + 1 : null) : $unit,
            array_values($rig->units),
        )));
    }

    public function words(Rig $rig): string
    {
        return "{$rig->places[$this->place]->name} starts ".(implode(
            ', ',
            array_map(fn (string $id) => $rig->units[$id]->name, $this->programs),
        ) ?: 'nothing in order');
    }
}

<?php

declare(strict_types=1);

namespace HiddenWire\Core\Edit;

use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Unit;

/** Lets a source of a program sound in every scene, or only in those that it is in. */
final readonly class SoundAlways implements RigEdit
{
    public function __construct(public PointRef $at, public bool $always)
    {
    }

    public function applyTo(Rig $rig): Rig
    {
        return Settings::ofUnit($rig, $this->at->unit, function (Unit $unit): Unit {
            $others = array_values(array_diff($unit->always, [$this->at->point]));

            return $unit->with(always: $this->always ? [...$others, $this->at->point] : $others);
        });
    }

    public function words(Rig $rig): string
    {
        return "{$rig->units[$this->at->unit]->name}: {$rig->point($this->at)->label} sounds ".($this->always
            ? 'in every scene'
            : 'in its scenes only');
    }
}

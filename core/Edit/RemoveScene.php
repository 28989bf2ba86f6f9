<?php

declare(strict_types=1);

namespace HiddenWire\Core\Edit;

use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Scene;
use HiddenWire\Core\Rig\SceneChoice;
use HiddenWire\Core\Rig\Situation;
use HiddenWire\Core\Rig\Unit;

/** Takes a scene away; situations that have chosen it show the first one. */
final readonly class RemoveScene implements RigEdit
{
    public function __construct(public string $unit, public string $scene)
    {
    }

    public function applyTo(Rig $rig): Rig
    {
        $parts = $rig->parts()->changing('units', $this->unit, fn (Unit $unit): Unit => $unit->with(
            scenes: array_values(array_filter($unit->scenes, fn (Scene $one) => $one->id !== $this->scene)),
        ));

        return new Rig($parts->with(situations: array_map(fn (Situation $one): Situation => $one->with(scenes: array_values(array_filter(
            $one->scenes,
            fn (SceneChoice $choice) => $choice->unit !== $this->unit || $choice->scene !== $this->scene,
        ))), $parts->situations)));
    }

    public function words(Rig $rig): string
    {
        $unit = $rig->units[$this->unit];

        return "{$unit->name}: scene ".($unit->scene($this->scene)->name ?? $this->scene).' removed';
    }
}

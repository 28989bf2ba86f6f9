<?php

declare(strict_types=1);

namespace HiddenWire\Core\Edit;

use HiddenWire\Core\Rig\Effect;
use HiddenWire\Core\Rig\EffectSwitch;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Situation;
use HiddenWire\Core\Rig\Unit;

/** Takes an effect out of its chain, and out of the situations that switch it. */
final readonly class RemoveEffect implements RigEdit
{
    public function __construct(public string $unit, public string $effect)
    {
    }

    public function applyTo(Rig $rig): Rig
    {
        $parts = $rig->parts()->changing('units', $this->unit, fn (Unit $unit): Unit => $unit->with(
            effects: array_values(array_filter($unit->effects, fn (Effect $one) => $one->id !== $this->effect)),
        ));

        return new Rig($parts->with(situations: array_map(fn (Situation $one): Situation => $one->with(effects: array_values(array_filter(
            $one->effects,
            fn (EffectSwitch $switch) => $switch->unit !== $this->unit || $switch->effect !== $this->effect,
        ))), $parts->situations)));
    }

    public function words(Rig $rig): string
    {
        $unit = $rig->units[$this->unit];
        $effect = $unit->effect($this->effect);

        return "{$unit->name}: ".($effect === null
            ? $this->effect
            : "{$effect->label()} of {$rig->modelOf($unit)->points[$effect->at]->label}").' removed';
    }
}

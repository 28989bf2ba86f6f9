<?php

declare(strict_types=1);

namespace HiddenWire\Core\Edit;

use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Unit;

/** Moves an effect one place earlier or later in its chain. */
final readonly class MoveEffect implements RigEdit
{
    public function __construct(public string $unit, public string $effect, public bool $isEarlier)
    {
    }

    public function applyTo(Rig $rig): Rig
    {
        return Settings::ofUnit($rig, $this->unit, function (Unit $unit): Unit {
            $at = $unit->effect($this->effect)?->at;
            $chain = array_keys(array_filter($unit->effects, fn ($one) => $one->at === $at));
            $place = array_search($this->effect, array_map(fn (int $i) => $unit->effects[$i]->id, $chain), true);
            $other = $place === false ? null : $chain[$place + ($this->isEarlier ? -1 : 1)] ?? null;
            if ($place === false || $other === null) {
                return $unit;
            }
            $effects = $unit->effects;
            [$effects[$chain[$place]], $effects[$other]] = [$effects[$other], $effects[$chain[$place]]];

            return $unit->with(effects: array_values($effects));
        });
    }

    public function words(Rig $rig): string
    {
        $unit = $rig->units[$this->unit];
        $effect = $unit->effect($this->effect);

        return "{$unit->name}: ".($effect?->label() ?? $this->effect).($this->isEarlier ? ' earlier' : ' later');
    }
}

<?php

declare(strict_types=1);

namespace HiddenWire\Core\Edit;

use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Situation;

/** Whether a unit is there in a situation; of a program, whether it runs. */
final readonly class SetAbsent implements RigEdit
{
    public function __construct(public string $situation, public string $unit, public bool $isAbsent)
    {
    }

    public function applyTo(Rig $rig): Rig
    {
        return new Rig($rig->parts()->changing('situations', $this->situation, function (Situation $situation): Situation {
            $others = array_values(array_filter($situation->absent, fn (string $id) => $id !== $this->unit));

            return $situation->with(absent: $this->isAbsent ? [...$others, $this->unit] : $others);
        }));
    }

    public function words(Rig $rig): string
    {
        $unit = $rig->units[$this->unit];
        $isProgram = $rig->modelOf($unit)->isProgram();

        return "{$unit->name} ".($isProgram ? ($this->isAbsent ? 'does not run' : 'runs')
            : ($this->isAbsent ? 'is not there' : 'is there'))." in {$rig->situations[$this->situation]->name}";
    }
}

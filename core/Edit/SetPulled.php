<?php

declare(strict_types=1);

namespace HiddenWire\Core\Edit;

use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Situation;
use HiddenWire\Core\Rig\Turns;

/** Whether a cable is out in a situation. */
final readonly class SetPulled implements RigEdit
{
    public function __construct(public string $situation, public string $cable, public bool $isPulled)
    {
    }

    public function applyTo(Rig $rig): Rig
    {
        // A socket takes one lead: what uses it in turn is out then.
        $out = $this->isPulled ? [] : Turns::beside($rig->parts(), $rig->cables[$this->cable]);

        return new Rig($rig->parts()->changing('situations', $this->situation, function (Situation $situation) use ($out): Situation {
            $others = array_values(array_filter($situation->pulled, fn (string $id) => $id !== $this->cable));

            return $situation->with(pulled: $this->isPulled
                ? [...$others, $this->cable]
                : array_values(array_unique([...$others, ...$out])));
        }));
    }

    public function words(Rig $rig): string
    {
        return "{$rig->cables[$this->cable]->label} is ".($this->isPulled ? 'out' : 'plugged')
            ." in {$rig->situations[$this->situation]->name}";
    }
}

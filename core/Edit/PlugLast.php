<?php

declare(strict_types=1);

namespace HiddenWire\Core\Edit;

use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Situation;

/** Plugs a cable in after all others, in a situation or for good: a tablet takes the sound of what was plugged in last. */
final readonly class PlugLast implements RigEdit
{
    /** @param  string|null  $situation  null for the base, which holds in all */
    public function __construct(public string $cable, public ?string $situation = null)
    {
    }

    public function applyTo(Rig $rig): Rig
    {
        $situation = $this->situation ?? $rig->base()->id;

        return new Rig($rig->parts()->changing('situations', $situation, fn (Situation $one): Situation => $one->with(
            plugged: [...array_values(array_filter($one->plugged, fn (string $id) => $id !== $this->cable)), $this->cable],
        )));
    }

    public function words(Rig $rig): string
    {
        return "{$rig->cables[$this->cable]->label} is plugged in last".Settings::where($rig, $this->situation);
    }
}

<?php

declare(strict_types=1);

namespace HiddenWire\Core\Edit;

use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Situation;

/** Takes back the order in which a situation plugs its leads: as in the default, and in the base as the leads were made. */
final readonly class ClearPlugs implements RigEdit
{
    public function __construct(public string $situation)
    {
    }

    public function applyTo(Rig $rig): Rig
    {
        return new Rig($rig->parts()->changing(
            'situations',
            $this->situation,
            fn (Situation $one): Situation => $one->with(plugged: []),
        ));
    }

    public function words(Rig $rig): string
    {
        return "{$rig->situations[$this->situation]->name} says no order of plugs any more";
    }
}

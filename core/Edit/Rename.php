<?php

declare(strict_types=1);

namespace HiddenWire\Core\Edit;

use HiddenWire\Core\Rig\Listener;
use HiddenWire\Core\Rig\Place;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Situation;
use HiddenWire\Core\Rig\Source;
use HiddenWire\Core\Rig\Unit;

/** Gives something another name. Its id stays, so that everything that refers to it stays. */
final readonly class Rename implements RigEdit
{
    public function __construct(public Named $thing, public string $id, public string $name)
    {
    }

    public function applyTo(Rig $rig): Rig
    {
        return new Rig($rig->parts()->changing(
            $this->thing->value,
            $this->id,
            fn (Place|Unit|Source|Listener|Situation $one) => $one->with(name: $this->name),
        ));
    }

    public function words(Rig $rig): string
    {
        return "{$rig->{$this->thing->value}[$this->id]->name} renamed to {$this->name}";
    }
}

<?php

declare(strict_types=1);

namespace HiddenWire\Core\Edit;

use HiddenWire\Core\Rig\Naming;
use HiddenWire\Core\Rig\Place;
use HiddenWire\Core\Rig\PlaceKind;
use HiddenWire\Core\Rig\Rig;

/** Adds a place. */
final readonly class AddPlace implements RigEdit
{
    public function __construct(public string $name, public PlaceKind $kind)
    {
    }

    public function applyTo(Rig $rig): Rig
    {
        return new Rig($rig->parts()->with(places: [
            ...array_values($rig->places),
            new Place(Naming::id($this->name, array_keys($rig->places)), $this->kind, $this->name),
        ]));
    }

    public function words(Rig $rig): string
    {
        return "New place: {$this->name}";
    }
}

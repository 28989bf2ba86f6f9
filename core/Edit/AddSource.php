<?php

declare(strict_types=1);

namespace HiddenWire\Core\Edit;

use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Rig\Naming;
use HiddenWire\Core\Rig\Origin;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Source;
use HiddenWire\Core\Rig\SourceKind;

/** Adds a sound; where it begins may be said later. */
final readonly class AddSource implements RigEdit
{
    public function __construct(public string $name, public SourceKind $kind, public ?PointRef $at)
    {
    }

    public function applyTo(Rig $rig): Rig
    {
        $source = new Source(
            Naming::id($this->name, array_keys($rig->sources)),
            $this->name,
            $this->kind,
            $this->at === null ? [] : [new Origin($this->at, Decibels::zero())],
        );

        return new Rig($rig->parts()->with(sources: [...array_values($rig->sources), $source]));
    }

    public function words(Rig $rig): string
    {
        $where = $this->at === null ? '' : ", starts at {$rig->point($this->at)->label} of {$rig->units[$this->at->unit]->name}";

        return "New sound: {$this->name}{$where}";
    }
}

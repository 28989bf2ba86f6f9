<?php

declare(strict_types=1);

namespace HiddenWire\Core\Edit;

use HiddenWire\Core\Rig\Listener;
use HiddenWire\Core\Rig\ListenerKind;
use HiddenWire\Core\Rig\Naming;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\Rig;

/** Adds a listener; where they listen may be said later. */
final readonly class AddListener implements RigEdit
{
    public function __construct(public string $name, public ListenerKind $kind, public ?PointRef $at)
    {
    }

    public function applyTo(Rig $rig): Rig
    {
        $listener = new Listener(
            Naming::id($this->name, array_keys($rig->listeners)),
            $this->name,
            $this->kind,
            $this->at === null ? [] : [$this->at],
        );

        return new Rig($rig->parts()->with(listeners: [...array_values($rig->listeners), $listener]));
    }

    public function words(Rig $rig): string
    {
        $where = $this->at === null ? '' : ", listens at {$rig->point($this->at)->label} of {$rig->units[$this->at->unit]->name}";

        return "New listener: {$this->name}{$where}";
    }
}

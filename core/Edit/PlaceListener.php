<?php

declare(strict_types=1);

namespace HiddenWire\Core\Edit;

use HiddenWire\Core\Rig\Listener;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\Rig;

/** Says that a listener listens at a point, or does not. */
final readonly class PlaceListener implements RigEdit
{
    public function __construct(public string $listener, public PointRef $at, public bool $isThere)
    {
    }

    public function applyTo(Rig $rig): Rig
    {
        return new Rig($rig->parts()->changing('listeners', $this->listener, fn (Listener $listener) => $listener->with(at: [
            ...array_values(array_filter($listener->at, fn (PointRef $at) => (string) $at !== (string) $this->at)),
            ...($this->isThere ? [$this->at] : []),
        ])));
    }

    public function words(Rig $rig): string
    {
        return $rig->listeners[$this->listener]->name.($this->isThere ? ' listens at ' : ' no longer listens at ')
            ."{$rig->point($this->at)->label} of {$rig->units[$this->at->unit]->name}";
    }
}

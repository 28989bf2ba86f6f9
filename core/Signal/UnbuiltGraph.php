<?php

declare(strict_types=1);

namespace HiddenWire\Core\Signal;

use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Situation;

/** What a signal graph is made from, where it may never be asked for. */
final readonly class UnbuiltGraph
{
    public function __construct(public Rig $rig, public Situation $situation)
    {
    }

    public function built(): SignalGraph
    {
        return (new GraphBuilder($this->rig))->build($this->situation);
    }
}

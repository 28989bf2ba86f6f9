<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig;

use HiddenWire\Core\Quantity\Decibels;

/** Where a source begins, and how strongly: a voice is at its microphone at 0 dB and bleeds into the second at less. */
final readonly class Origin
{
    public function __construct(public PointRef $at, public Decibels $db)
    {
    }
}

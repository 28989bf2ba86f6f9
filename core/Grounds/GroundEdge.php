<?php

declare(strict_types=1);

namespace HiddenWire\Core\Grounds;

use HiddenWire\Core\Rig\Cable;

/** A lead that joins the grounds of two units. */
final readonly class GroundEdge
{
    public function __construct(public Cable $cable, public bool $isAnalog, public bool $isBalanced)
    {
    }
}

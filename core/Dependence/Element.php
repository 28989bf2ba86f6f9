<?php

declare(strict_types=1);

namespace HiddenWire\Core\Dependence;

use HiddenWire\Core\Rig\CableRef;
use HiddenWire\Core\Rig\UnitRef;
use HiddenWire\Core\Signal\HeardPair;

/** A unit, program or cable, and the wishes that are no longer met once it fails. */
final readonly class Element
{
    /** @param  non-empty-list<HeardPair>  $lost */
    public function __construct(public UnitRef|CableRef $at, public array $lost)
    {
    }
}

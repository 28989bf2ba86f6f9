<?php

declare(strict_types=1);

namespace HiddenWire\Core\Signal;

use HiddenWire\Core\Equipment\Realm;
use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Quantity\Milliseconds;

/** One step of an arrival: the element, what it adds, and where the level and the delay stand behind it; for a
 * program's pick, the program's point. */
final readonly class Hop
{
    public function __construct(
        public HopKind $kind,
        public string $ref,
        public string $label,
        public Realm $realm,
        public Decibels $gain,
        public Milliseconds $delay,
        public Decibels $level,
        public Milliseconds $time,
        public ?string $pick = null,
        /** The channels of the point or device before it that the signal leaves by: bit c for channel c. */
        public int $leaving = 0,
    ) {
    }
}

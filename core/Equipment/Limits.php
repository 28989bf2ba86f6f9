<?php

declare(strict_types=1);

namespace HiddenWire\Core\Equipment;

/** What a program or unit can't exceed; null is no limit that matters. */
final readonly class Limits
{
    public function __construct(
        /** How many channels of a device the program reads, from the first. */
        public ?int $channelsRead = null,
        public ?int $devicesAtOnce = null,
        public ?int $sources = null,
        public ?int $tracks = null,
    ) {
    }
}

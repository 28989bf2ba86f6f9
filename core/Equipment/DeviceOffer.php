<?php

declare(strict_types=1);

namespace HiddenWire\Core\Equipment;

use HiddenWire\Core\Quantity\Milliseconds;

/**
 * What a lane or a program's point gives to the list of a computer's audio devices. Its name there follows from the socket
 * ({@see DeviceNames}), unless the unit has a text of its own.
 */
final readonly class DeviceOffer
{
    public function __construct(
        public Direction $direction,
        public ?string $systemName = null,
        public ?Milliseconds $latency = null,
    ) {
    }
}

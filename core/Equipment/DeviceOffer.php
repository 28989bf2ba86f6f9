<?php

declare(strict_types=1);

namespace HiddenWire\Core\Equipment;

use HiddenWire\Core\Quantity\Milliseconds;

/**
 * What a lane or a program's point gives to the list of a computer's audio devices. In the system name, `{partner}` stands for the
 * unit that a picture socket reaches.
 */
final readonly class DeviceOffer
{
    public function __construct(
        public Direction $direction,
        public string $systemName,
        public ?Milliseconds $latency = null,
    ) {
    }
}

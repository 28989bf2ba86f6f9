<?php

declare(strict_types=1);

namespace HiddenWire\Core\Signal;

use HiddenWire\Core\Rig\DeviceRef;
use HiddenWire\Core\Rig\PointRef;

/** A name that somebody has given and that says the opposite of what its thing carries. */
final readonly class Misnomer
{
    /**
     * @param  string|null  $computer  whose list a device is in; null for a point
     * @param  string  $sentence  "Desk mixer · Guest (Channel 3) is called Guest, but carries Music"
     * @param  string  $offer  a name from its content
     */
    public function __construct(
        public PointRef|DeviceRef $at,
        public ?string $computer,
        public string $name,
        public string $sentence,
        public string $offer,
    ) {
    }
}

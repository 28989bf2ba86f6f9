<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig;

use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\With;

/** The user's own settings on a derived device. They survive when the device goes away. */
final readonly class DeviceSettings
{
    use With;

    /**
     * @param  list<Role>  $roles  what the system uses it for by default
     * @param  Decibels|null  $db  the system's own level of it; null for as it comes
     * @param  Unlisted|null  $unlisted  why the system does not offer it; null where it does
     * @param  list<Processing>  $processing  what the system does to its sound
     * @param  DeviceRef|null  $playsTo  the playback device that the system itself plays this recording device to
     */
    public function __construct(
        public string $computer,
        public DeviceRef $device,
        public string $name = '',
        public bool $enabled = true,
        public array $roles = [],
        public ?int $rateHz = null,
        public ?int $bits = null,
        public ?DriverMode $driverMode = null,
        public ?Decibels $db = null,
        public bool $mute = false,
        public ?DeviceRef $playsTo = null,
        public ?Unlisted $unlisted = null,
        public array $processing = [],
    ) {
    }
}

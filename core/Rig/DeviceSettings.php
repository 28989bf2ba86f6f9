<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig;

use HiddenWire\Core\With;

/** The user's own settings on a derived device. They survive when the device goes away. */
final readonly class DeviceSettings
{
    use With;

    /** @param  list<Role>  $roles  what the system uses it for by default */
    public function __construct(
        public string $computer,
        public DeviceRef $device,
        public string $name = '',
        public bool $enabled = true,
        public array $roles = [],
        public ?int $rateHz = null,
        public ?int $bits = null,
        public ?DriverMode $driverMode = null,
    ) {
    }
}

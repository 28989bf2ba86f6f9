<?php

declare(strict_types=1);

namespace HiddenWire\Core\Equipment;

use HiddenWire\Core\Rig\DeviceRef;

/** What a program offers to choose from. */
enum PickFrom: string
{
    case Defaults = 'default';
    case Plugged = 'plugged';
    case Installed = 'installed';
    case Loopbacks = 'loopback';

    public function words(): string
    {
        return match ($this) {
            self::Defaults => 'the system\'s defaults',
            self::Plugged => 'devices that are plugged in',
            self::Installed => 'devices that programs install',
            self::Loopbacks => 'loopbacks of playback devices',
        };
    }

    /** What a device is to a program that could choose it. */
    public static function of(DeviceRef $device, bool $isTap): self
    {
        return $isTap ? self::Loopbacks : ($device->lane === null ? self::Installed : self::Plugged);
    }
}

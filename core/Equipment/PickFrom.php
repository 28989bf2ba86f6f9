<?php

declare(strict_types=1);

namespace HiddenWire\Core\Equipment;

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
}

<?php

declare(strict_types=1);

namespace HiddenWire\Core\Room;

/** What one looks at. */
enum OutlookKind: string
{
    case Leads = 'leads';
    case Settings = 'settings';
    case Devices = 'devices';
    case Picks = 'picks';

    public function words(string $unit): string
    {
        return match ($this) {
            self::Leads => "Follow the leads of {$unit} to both ends",
            self::Settings => "Go through the switches and levels of {$unit}",
            self::Devices => "Go through the sound devices of {$unit}",
            self::Picks => "Go through the devices that {$unit} uses",
        };
    }
}

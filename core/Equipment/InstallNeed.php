<?php

declare(strict_types=1);

namespace HiddenWire\Core\Equipment;

/** What installing something asks for. */
enum InstallNeed: string
{
    case RaisedRights = 'raised-rights';
    case Restart = 'restart';
    case RenamesDevices = 'renames-devices';

    public function words(): string
    {
        return match ($this) {
            self::RaisedRights => 'needs the rights of an administrator',
            self::Restart => 'needs a restart',
            self::RenamesDevices => 'renames devices of the system',
        };
    }
}

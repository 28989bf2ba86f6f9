<?php

declare(strict_types=1);

namespace HiddenWire\Core\Equipment;

/** What installing something asks for. */
enum InstallNeed: string
{
    case RaisedRights = 'raised-rights';
    case Restart = 'restart';
    case RenamesDevices = 'renames-devices';
    case RightsAtStart = 'rights-at-start';
    case TrialDisturbs = 'trial-disturbs';
    case OlderDriver = 'older-driver';

    public function words(): string
    {
        return match ($this) {
            self::RaisedRights => 'needs the rights of an administrator',
            self::Restart => 'needs a restart',
            self::RenamesDevices => 'renames devices of the system',
            self::RightsAtStart => 'needs the rights of an administrator at every start',
            self::TrialDisturbs => 'disturbs the sound until it has a licence',
            self::OlderDriver => 'needs an older driver than the newest: keep it from updating',
        };
    }
}

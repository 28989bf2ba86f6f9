<?php

declare(strict_types=1);

namespace HiddenWire\Core\Equipment;

/** What installing something asks for. */
enum InstallNeed: string
{
    case RaisedRights = 'raised-rights';
    case Restart = 'restart';

    public function words(): string
    {
        return $this === self::RaisedRights ? 'needs the rights of an administrator' : 'needs a restart';
    }
}

<?php

declare(strict_types=1);

namespace HiddenWire\Core\Equipment;

/** How long a setting stays as it was made. */
enum Holds: string
{
    case ForGood = 'for-good';
    case UntilClosed = 'until-closed';
    case UntilUnplugged = 'until-unplugged';
    case UntilUpdated = 'until-updated';

    public function words(): string
    {
        return str_replace('-', ' ', $this->value);
    }

    /** Whether it has to be made again whenever the rig is started. */
    public function endsWithUse(): bool
    {
        return $this === self::UntilClosed || $this === self::UntilUnplugged;
    }
}

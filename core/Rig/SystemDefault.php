<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig;

/** Which of the system's defaults a pick follows. */
enum SystemDefault: string
{
    case System = 'system';
    case Call = 'call';

    public function words(): string
    {
        return $this === self::Call ? 'the default for calls' : 'the system default';
    }
}

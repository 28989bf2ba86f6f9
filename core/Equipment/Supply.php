<?php

declare(strict_types=1);

namespace HiddenWire\Core\Equipment;

/** How a unit is powered; only `mains-earthed` ties its ground to protective earth. */
enum Supply: string
{
    case MainsEarthed = 'mains-earthed';
    case MainsUnearthed = 'mains-unearthed';
    case Bus = 'bus';
    case Phantom = 'phantom';
    case Battery = 'battery';
    case None = 'none';
}

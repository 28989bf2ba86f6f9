<?php

declare(strict_types=1);

namespace HiddenWire\Core\Equipment;

/** The state of a point, for a rule of its unit. */
enum Standing: string
{
    /** Not muted, and its fader not shut. */
    case Open = 'open';
    case Muted = 'muted';
    case Soloed = 'soloed';
}

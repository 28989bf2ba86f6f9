<?php

declare(strict_types=1);

namespace HiddenWire\Core\Equipment;

/** By what a system chooses its default devices. */
enum Takes: string
{
    /** Somebody has chosen them. */
    case Chosen = 'chosen';

    /** Whatever was plugged in last has the sound, its own loudspeaker and microphone where nothing is. */
    case LastPlugged = 'last-plugged';
}

<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig;

/** What an operating system does to the sound of a device besides its level. */
enum Processing: string
{
    /** Removes noise and echo, and with them much that is no voice. */
    case Enhancement = 'enhancement';
    /** Lays the sound out around the head. */
    case Spatial = 'spatial';
    /** Turns quiet up and loud down: the level behind it is not that of the faders. */
    case AutomaticLevel = 'automatic-level';
    /** Both sides of the sound at both ears. */
    case Mono = 'mono';

    public function words(): string
    {
        return str_replace('-', ' ', $this->value);
    }
}

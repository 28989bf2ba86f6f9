<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig;

/** What an operating system does to the sound of a device other than its level. */
enum Processing: string
{
    /** Bends the sound to the loudspeakers or to a voice: bass, treble, noise. */
    case ToneCorrection = 'tone-correction';
    /** Lays the sound out in a room around the head. */
    case RoomSound = 'room-sound';
    /** Turns quiet up and loud down: the level behind it is not that of the faders. */
    case AutomaticLevel = 'automatic-level';
    /** Both sides of the sound at both ears. */
    case Mono = 'mono';

    public function words(): string
    {
        return str_replace('-', ' ', $this->value);
    }
}

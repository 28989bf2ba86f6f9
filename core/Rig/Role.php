<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig;

/**
 * What a computer's system uses a device for when a program does not say. A `call` role means the default for calls of the device's own
 * direction.
 */
enum Role: string
{
    case Playback = 'playback';
    case Recording = 'recording';
    case Call = 'call';
}

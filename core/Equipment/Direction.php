<?php

declare(strict_types=1);

namespace HiddenWire\Core\Equipment;

/** Which kind of audio device a computer's system lists: playback takes sound from programs, recording gives it to them. */
enum Direction: string
{
    case Playback = 'playback';
    case Recording = 'recording';
}

<?php

declare(strict_types=1);

namespace HiddenWire\Core\Signal;

/** What of a sound is lost though something of it arrives. */
enum Loss: string
{
    case LeftEar = 'left ear';
    case RightEar = 'right ear';
    case LeftPart = 'left part';
    case RightPart = 'right part';
    case Middle = 'middle';

    /** What is the matter, to go behind "the sound". */
    public function words(): string
    {
        return match ($this) {
            self::LeftEar => 'is heard on the right side only',
            self::RightEar => 'is heard on the left side only',
            self::LeftPart => 'is heard without its left channel',
            self::RightPart => 'is heard without its right channel',
            self::Middle => 'is heard as left minus right: what is in the middle cancels',
        };
    }
}

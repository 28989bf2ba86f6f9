<?php

declare(strict_types=1);

namespace HiddenWire\Core\Signal;

use HiddenWire\Core\Quantity\Listing;

/** What of a sound is lost though something of it arrives. */
enum Loss: string
{
    case LeftEar = 'left ear';
    case RightEar = 'right ear';
    case LeftPart = 'left part';
    case RightPart = 'right part';
    case Middle = 'middle';
    /** Of a sound of more than two channels: some of them. */
    case Parts = 'parts';
    /** Left and right come as one, and were wished apart. */
    case Mono = 'mono';

    /**
     * What is the matter, to go behind "the sound".
     *
     * @param  list<string>  $parts  names of the channels that are lost
     */
    public function words(array $parts = []): string
    {
        return match ($this) {
            self::LeftEar => 'is heard on the right side only',
            self::RightEar => 'is heard on the left side only',
            self::LeftPart => 'is heard without its left channel',
            self::RightPart => 'is heard without its right channel',
            self::Middle => 'is heard as left minus right: what is in the middle cancels',
            self::Parts => 'is heard without '.Listing::of($parts),
            self::Mono => 'is mono, was stereo',
        };
    }
}

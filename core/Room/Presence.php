<?php

declare(strict_types=1);

namespace HiddenWire\Core\Room;

/** Whether a planned device is in a computer's list. */
enum Presence: string
{
    case There = 'there';
    case Gone = 'gone';

    public function words(): string
    {
        return $this === self::There ? 'it is there' : 'it is not there, or disabled';
    }
}

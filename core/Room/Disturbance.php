<?php

declare(strict_types=1);

namespace HiddenWire\Core\Room;

/** What an update does to a computer's list of devices. */
enum Disturbance: string
{
    case Missing = 'missing';
    case Renamed = 'renamed';
    case OtherRate = 'other-rate';
    case SwitchedOff = 'switched-off';
    case Unexpected = 'unexpected';
    case OtherDefault = 'other-default';
}

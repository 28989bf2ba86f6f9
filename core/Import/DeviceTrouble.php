<?php

declare(strict_types=1);

namespace HiddenWire\Core\Import;

/** How a computer's list differs from the planned one. */
enum DeviceTrouble: string
{
    case Missing = 'missing';
    case Unexpected = 'unexpected';
    case Renamed = 'renamed';
    case Alike = 'alike';
    case WrongDefault = 'wrong default';
    case OtherFormat = 'other format';
    case Disabled = 'disabled';
    case Listed = 'listed';
}

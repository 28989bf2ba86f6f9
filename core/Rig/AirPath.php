<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig;

use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Quantity\Milliseconds;

/** Sound that crosses the air from one point to another: a loudspeaker into an open microphone. */
final readonly class AirPath
{
    /** @param  Milliseconds|null  $delay  null where nobody measured it: about a metre */
    public function __construct(public PointRef $from, public PointRef $to, public Decibels $db, public ?Milliseconds $delay = null)
    {
    }
}

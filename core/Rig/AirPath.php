<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig;

use HiddenWire\Core\Quantity\Decibels;

/** Sound that crosses the air from one point to another: a loudspeaker into an open microphone. */
final readonly class AirPath
{
    public function __construct(public PointRef $from, public PointRef $to, public Decibels $db)
    {
    }
}

<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig;

use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Quantity\Milliseconds;
use HiddenWire\Core\With;

/** Where a source begins, and how strongly: a voice is at its microphone at 0 dB and bleeds into the second at less. */
final readonly class Origin
{
    use With;

    /**
     * @param  Milliseconds|null  $delay  how much later the sound is there: a voice at a second microphone, 3 ms a metre; null is not at
     * all
     * @param  float|null  $distanceM  metres from the source to what takes it; of a further microphone its level follows, {@see Spill}
     */
    public function __construct(
        public PointRef $at,
        public Decibels $db,
        public ?Milliseconds $delay = null,
        public ?float $distanceM = null,
    ) {
    }
}

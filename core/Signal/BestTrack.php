<?php

declare(strict_types=1);

namespace HiddenWire\Core\Signal;

use HiddenWire\Core\Rig\Listener;
use HiddenWire\Core\Rig\Source;

/** The track on which a sound is found best afterwards. */
final readonly class BestTrack
{
    /**
     * @param  float|null  $above  dB over the loudest other sound there, negative where that is louder; null where it is alone
     * @param  list<Source>  $others  what else is on the track
     */
    public function __construct(public Listener $track, public ?float $above, public array $others)
    {
    }

    /** Its isolation there: "alone", "2.5 dB over the rest". */
    public function words(): string
    {
        return match (true) {
            $this->above === null => 'alone',
            $this->above === 0.0 => 'as loud as the loudest other',
            default => number_format(abs($this->above), 1).' dB '.($this->above > 0 ? 'louder' : 'quieter').' than the loudest other',
        };
    }
}

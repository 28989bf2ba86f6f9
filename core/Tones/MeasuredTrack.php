<?php

declare(strict_types=1);

namespace HiddenWire\Core\Tones;

use HiddenWire\Core\Rig\Listener;

/** One track of a recorded tone test. */
final readonly class MeasuredTrack
{
    /**
     * @param  non-empty-list<ChannelReading>  $channels
     * @param  array<array-key, MeasuredSound>  $sounds  by source: each that is planned or was found there
     * @param  list<Difference>  $differences  of the track itself
     */
    public function __construct(public Listener $track, public array $channels, public array $sounds, public array $differences)
    {
    }

    /** dB true peak; null of silence. */
    public function truePeak(): ?float
    {
        $peak = max(array_map(fn (ChannelReading $one) => $one->truePeak, $this->channels));

        return $peak > 0.0 ? 20 * log10($peak) : null;
    }
}

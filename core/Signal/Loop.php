<?php

declare(strict_types=1);

namespace HiddenWire\Core\Signal;

use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Quantity\Milliseconds;

/**
 * A circle in which sound runs: a strongly connected part of the graph, shown by its strongest way round. At 0 dB or more round the loop it
 * howls; close below it rings.
 */
final readonly class Loop
{
    /**
     * @param  non-empty-list<Hop>  $hops
     * @param  array<int, true>  $channels  the graph's channels that are part of it
     */
    public function __construct(public array $hops, public Decibels $gain, public Milliseconds $delay, public array $channels)
    {
    }

    public function howls(): bool
    {
        return ! $this->gain->isBelow(Decibels::zero());
    }

    /** Whether what comes round is loud enough to count as a second arrival of whatever enters. */
    public function isAudible(): bool
    {
        return ! $this->gain->isBelow(Decibels::of(-Doubling::countsWithin($this->delay)));
    }
}

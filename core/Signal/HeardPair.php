<?php

declare(strict_types=1);

namespace HiddenWire\Core\Signal;

use HiddenWire\Core\Rig\Listener;
use HiddenWire\Core\Rig\Source;
use HiddenWire\Core\Rig\Wish;

/** What one listener hears of one source: the arrivals, strongest first, and the verdict. */
final readonly class HeardPair
{
    /**
     * @param  list<Arrival>  $arrivals
     * @param  bool  $isCapped  there are more ways than were counted
     */
    public function __construct(
        public Source $source,
        public Listener $listener,
        public ?Wish $wish,
        public Verdict $verdict,
        public array $arrivals,
        public bool $isCapped,
        public ?Doubling $doubling,
    ) {
    }

    /** Where the source is in this listener's ears, all arrivals together. */
    public function channels(): string
    {
        $channels = array_unique(array_map(fn (Arrival $arrival) => $arrival->channels(), $this->arrivals));
        sort($channels);

        return match (true) {
            count($channels) === 1 => $channels[0],
            $channels === [] => '',
            in_array('both', $channels, true) || $channels === ['left', 'right'] => 'both',
            default => implode(' + ', $channels),
        };
    }
}

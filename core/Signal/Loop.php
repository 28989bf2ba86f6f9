<?php

declare(strict_types=1);

namespace HiddenWire\Core\Signal;

use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Quantity\Milliseconds;
use HiddenWire\Core\Rig\CableRef;
use HiddenWire\Core\Rig\DeviceRef;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\UnitRef;

/**
 * A circle in which sound runs: a strongly connected part of the graph, shown by its strongest way round. At 0 dB or more round it howls;
 * within 6 dB below it rings.
 */
final readonly class Loop
{
    /**
     * @param  non-empty-list<Hop>  $hops  the strongest way round
     * @param  Decibels  $gain  of the whole part, all ways round together
     * @param  Milliseconds  $delay  of the strongest way round
     * @param  bool  $isBound  the gain is at most this
     * @param  list<string>  $elements  references of every element in the part, each once
     * @param  non-empty-list<PointRef|CableRef|DeviceRef|UnitRef>  $cut  the fewest elements that open every circle: one
     *     round goes from them to themselves, and the margin at all of them, dB, is how far the gain is below 0
     */
    public function __construct(
        public array $hops,
        public Decibels $gain,
        public Milliseconds $delay,
        public bool $isBound,
        public array $elements,
        public array $cut,
    ) {
    }

    /** How much can be added at all elements of the cut before it howls; null where it does. */
    public function margin(): ?Decibels
    {
        return $this->howls() ? null : Decibels::of(-$this->gain->value());
    }

    public function howls(): bool
    {
        return ! $this->gain->isBelow(Decibels::zero());
    }

    public function rings(): bool
    {
        return ! $this->howls() && ! $this->gain->isBelow(Decibels::of(LoopGain::RINGS_DB));
    }

    /** Whether it is a fault by itself; a quieter one is part of what is heard. */
    public function isAudible(): bool
    {
        return $this->howls() || $this->rings();
    }
}

<?php

declare(strict_types=1);

namespace HiddenWire\Core\Signal;

use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Quantity\Milliseconds;
use HiddenWire\Core\Rig\PointRef;

/** One way by which a source arrives at a listener. Its gain is the sum of its hops' gains, its delay the sum of their delays. */
final readonly class Arrival
{
    /**
     * @param  non-empty-list<Hop>  $hops  the first is the origin
     * @param  array<int, array<int, float>>  $levels  dB by channel of the ear (from 0), by part of the source (0 left or mono, 1 right, …)
     * @param  int  $earChannels  width of the ear
     * @param  bool  $isBleed  by a weaker origin, or through the air
     * @param  int  $clocks  number of the set of clocks that it passes
     * @param  bool  $isTurned  the strongest of it arrives with turned polarity
     */
    public function __construct(
        public PointRef $ear,
        public array $hops,
        public Decibels $gain,
        public Milliseconds $delay,
        public array $levels,
        public int $earChannels,
        public bool $isBleed,
        public int $clocks,
        public bool $isTurned,
    ) {
    }

    /** Where in the ear it arrives: mono, left, right, both, or channel numbers where the ear has more than two. */
    public function channels(): string
    {
        return Sides::of(array_keys($this->levels), $this->earChannels);
    }

    /**
     * Whether this way and another are two legs of one sound: they part where they leave one point by different channels (left by one
     * cable, right by another), and arrive at the same time.
     */
    public function isLegBeside(self $other): bool
    {
        if ($this->delay->apartFrom($other->delay)->value() >= Doubling::ADDS_MS) {
            return false;
        }
        foreach ($this->hops as $i => $hop) {
            $beside = $other->hops[$i] ?? null;
            if ($beside === null || ! $hop->isSameStepAs($beside)) {
                return $i > 0 && $beside !== null && ($hop->leaving & $beside->leaving) === 0;
            }
        }

        return false;
    }

    /**
     * The hops of one kind, in order: the faders that govern it, say.
     *
     * @return list<Hop>
     */
    public function hopsOf(HopKind $kind): array
    {
        return array_values(array_filter($this->hops, fn (Hop $hop) => $hop->kind === $kind));
    }
}

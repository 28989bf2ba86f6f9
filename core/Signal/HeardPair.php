<?php

declare(strict_types=1);

namespace HiddenWire\Core\Signal;

use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Quantity\Milliseconds;
use HiddenWire\Core\Rig\Listener;
use HiddenWire\Core\Rig\Source;
use HiddenWire\Core\Rig\Want;
use HiddenWire\Core\Rig\Wish;

/**
 * What one listener hears of one source: the verdict, by the sum at the ear; and the ways, which explain it and are looked for when they
 * are asked for.
 */
final class HeardPair
{
    private ?Ways $ways = null;

    /** @param  \Closure(HeardPair): Ways  $find */
    public function __construct(
        public readonly Source $source,
        public readonly Listener $listener,
        public readonly ?Wish $wish,
        public readonly Verdict $verdict,
        public readonly Sum $sum,
        private readonly \Closure $find,
        public readonly ?Doubling $doubling = null,
        public readonly ?Loss $loss = null,
        /** Where it is louder than what it passes can take; null where it is nowhere, or nobody has looked. */
        public readonly ?Overload $overload = null,
        /** @var list<Source> sounds that are heard with it where it has to be alone */
        public readonly array $beside = [],
    ) {
    }

    /** So far under nominal that nobody notices it at all. */
    public function isFarTooQuiet(): bool
    {
        return $this->verdict === Verdict::TooQuiet && $this->level()?->value() <= -Sum::FAR_TOO_QUIET_DB + Sum::ROUNDING_DB;
    }

    /** Whether it is heard; what must not be heard, at any frequency of speech. */
    public function isHeard(): bool
    {
        return $this->level() !== null;
    }

    /** Whether it must be heard, and is. */
    public function meetsMust(): bool
    {
        return $this->wish?->want === Want::Must && $this->isHeard();
    }

    /**
     * All ways together, where it is loudest; null where it is not heard. Of what must not be heard, at the frequency of speech where it is
     * loudest.
     */
    public function level(): ?Decibels
    {
        return $this->wish?->want === Want::MustNot ? $this->sum->peak : $this->sum->level;
    }

    /** Of the strongest copy; null where it is not heard. */
    public function delay(): ?Milliseconds
    {
        return $this->sum->delay;
    }

    /** @return list<Arrival> the strongest ways, strongest first */
    public function arrivals(): array
    {
        return $this->ways()->arrivals;
    }

    /** There are more ways than are listed. */
    public function isCapped(): bool
    {
        return $this->ways()->isCapped;
    }

    /**
     * The two strongest ways that cancel each other, where a sound does not arrive because copies of it do.
     *
     * @return array{Arrival, Arrival}|null
     */
    public function cancelling(): ?array
    {
        $ways = $this->verdict === Verdict::Missing && $this->sum->isReached ? $this->arrivals() : [];

        return count($ways) < 2 ? null : [$ways[0], $ways[1]];
    }

    /**
     * Cables by which the two sides of one sound come, where they come by two: "both, by W-31 and W-32".
     *
     * @return list<string> their labels
     */
    public function legs(): array
    {
        $arrivals = $this->isHeard() ? $this->arrivals() : [];
        if (count($arrivals) < 2 || ! $arrivals[0]->isLegBeside($arrivals[1])) {
            return [];
        }
        $cables = [];
        foreach ([[$arrivals[0], $arrivals[1]], [$arrivals[1], $arrivals[0]]] as [$one, $other]) {
            $others = array_map(fn (Hop $hop) => $hop->ref, $other->hopsOf(HopKind::Cable));
            foreach ($one->hopsOf(HopKind::Cable) as $hop) {
                if (! in_array($hop->ref, $others, true)) {
                    $cables[] = $hop->label;

                    break;
                }
            }
        }

        return $cables;
    }

    /** @return list<string> the effects that the strongest way passes, in their order */
    public function effects(): array
    {
        $strongest = $this->isHeard() ? $this->arrivals()[0] ?? null : null;

        return array_map(fn (Hop $hop) => $hop->label, $strongest?->hopsOf(HopKind::Effect) ?? []);
    }

    /** Where the source is in this listener's ears, all ways together. */
    public function channels(): string
    {
        return $this->sum->sides;
    }

    /** The same as somebody hears it who must not: for whoever looks for what would stop it. */
    public function asLeak(): self
    {
        $pair = new self($this->source, $this->listener, $this->wish, Verdict::Leak, $this->sum, $this->find, $this->doubling, $this->loss);
        $pair->ways = $this->ways;

        return $pair;
    }

    /**
     * The same with others, where it has to be alone.
     *
     * @param  list<Source>  $beside  the other sounds
     */
    public function notAlone(array $beside): self
    {
        $pair = new self(
            $this->source,
            $this->listener,
            $this->wish,
            Verdict::NotAlone,
            $this->sum,
            $this->find,
            $this->doubling,
            $this->loss,
            $this->overload,
            $beside,
        );
        $pair->ways = $this->ways;

        return $pair;
    }

    /** A judgement found while looking at the ways already. */
    public function withWays(Ways $ways): self
    {
        $this->ways = $ways;

        return $this;
    }

    /** What of it is lost, to go behind its name: "is heard without the centre"; null where nothing is. */
    public function lossWords(): ?string
    {
        return $this->loss?->words($this->sum->namesOfLostParts());
    }

    /** Whether it comes by weaker origins only, and by no loudspeaker: one voice in the microphone of another. */
    public function isSpilled(): bool
    {
        foreach ($this->arrivals() as $arrival) {
            if (! $arrival->isBleed || $arrival->hopsOf(HopKind::Air) !== []) {
                return false;
            }
        }

        return $this->arrivals() !== [];
    }

    /** Whether it is as wished only because spill of one voice into another's microphone may be so loud. */
    public function isSpill(): bool
    {
        return $this->verdict === Verdict::Ok && $this->wish?->want === Want::MustNot && $this->isHeard();
    }

    /** Lets go of the ways, which can be found again: of a large rig they are too many to keep. */
    public function forgetWays(): void
    {
        $this->ways = null;
    }

    private function ways(): Ways
    {
        return $this->ways ??= $this->sum->isReached ? ($this->find)($this) : new Ways([], false);
    }
}

<?php

declare(strict_types=1);

namespace HiddenWire\Core\Signal;

/**
 * How much may still be computed of one hearing. Counted in taps moved along an edge, so that the same rig always gives the same answer,
 * on any machine. What is left out has a bound and is reported, never taken for silence.
 */
final class Effort
{
    /** About five seconds on the slowest machine that we measure on; the largest rig of our benchmark needs a fiftieth of it. */
    public const MOST = 20_000_000;

    /** Taps that one channel may hold: two dozen ways of different delay are many. */
    public const TAPS = 1024;

    /** Once half of the effort is spent. */
    private const FEW_TAPS = 128;

    private int $spent = 0;

    /** @param  int  $taps  that one channel may hold */
    public function __construct(private readonly int $most = self::MOST, private readonly int $taps = self::TAPS)
    {
    }

    /** For what is done in the background: twenty times the work, and sixteen times the ways. */
    public static function patient(): self
    {
        return new self(self::MOST * 20, self::TAPS * 16);
    }

    /** For one of so many: an equal part of the work each. */
    public function share(int $of): self
    {
        return new self(intdiv($this->most, max($of, 1)), $this->taps);
    }

    /** As much again, with nothing spent. */
    public function anew(): self
    {
        return new self($this->most, $this->taps);
    }

    public function spend(int $taps): void
    {
        $this->spent += $taps;
    }

    public function spent(): int
    {
        return $this->spent;
    }

    public function isSpent(): bool
    {
        return $this->spent >= $this->most;
    }

    public function tapsAChannel(): int
    {
        return $this->spent * 2 < $this->most ? $this->taps : self::FEW_TAPS;
    }
}

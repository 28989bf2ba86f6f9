<?php

declare(strict_types=1);

namespace HiddenWire\Core\Signal;

/**
 * How much may still be computed of one hearing. Counted in taps moved along an edge, so that the same rig always gives the same answer,
 * on any machine. What is left out is bounded and told, never passed off as silence.
 */
final class Effort
{
    /** About three seconds on the slowest machine that we measure on; the largest rig of our benchmark needs a hundredth of it. */
    public const MOST = 30_000_000;

    /** Taps that one channel may hold: two dozen ways of different delay are many. */
    private const TAPS = 4096;

    /** Once half of the effort is spent. */
    private const FEW_TAPS = 128;

    private int $spent = 0;

    public function __construct(private readonly int $most = self::MOST)
    {
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
        return $this->spent * 2 < $this->most ? self::TAPS : self::FEW_TAPS;
    }
}

<?php

declare(strict_types=1);

namespace HiddenWire\Core\Signal;

use HiddenWire\Core\Quantity\Decibels;

/** How much louder a sound comes back each time it has gone round a strongly connected part. */
final readonly class LoopGain
{
    /** From here up to 0 dB a loop rings: what comes round stays audible for long and colours everything. */
    public const RINGS_DB = -6.0;

    /** Ratios this close to 1 are 0 dB: what rounding leaves of ten equal halves. */
    private const ROUNDING = 1e-9;

    /**
     * @param  float  $ratio  of amplitudes, 0 where everything that comes round cancels
     * @param  bool  $isBound  the ratio is at most this: the part was too large to weigh its polarities against each other
     */
    public function __construct(public float $ratio, public bool $isBound)
    {
    }

    public function howls(): bool
    {
        return $this->ratio >= 1 - self::ROUNDING;
    }

    public function rings(): bool
    {
        return ! $this->howls() && $this->ratio >= 10 ** (self::RINGS_DB / 20) - self::ROUNDING;
    }

    public function isLoud(): bool
    {
        return $this->howls() || $this->rings();
    }

    /** @return Decibels|null null where nothing comes round */
    public function decibels(): ?Decibels
    {
        return $this->ratio < 1e-7 ? null : Decibels::ofRatio($this->ratio);
    }
}

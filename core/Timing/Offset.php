<?php

declare(strict_types=1);

namespace HiddenWire\Core\Timing;

use HiddenWire\Core\Rig\Picture;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Signal\HeardPair;

/** One source of a broadcast program against its picture. */
final readonly class Offset
{
    /** ITU-R BT.1359: sound before its picture is noticed from 45 ms on, behind it from 125 ms on. */
    public const EARLY_MS = 45.0;

    public const LATE_MS = 125.0;

    /**
     * @param  HeardPair  $pair  the latest sound that comes in there
     * @param  float  $soundMs  when it arrives, with what is set now
     * @param  float  $setMs  by how much it is held back now
     */
    public function __construct(
        public PointRef $at,
        public HeardPair $pair,
        public Picture $picture,
        public float $soundMs,
        public float $setMs,
    ) {
    }

    /** How much the sound comes before its picture; negative where it comes behind it. */
    public function earlyMs(): float
    {
        return ($this->picture->delay?->value() ?? 0.0) - $this->soundMs;
    }

    /** What to set; null where the sound comes too late for that. */
    public function toSet(): ?float
    {
        $to = round($this->setMs + $this->earlyMs(), 1);

        return $to < 0 ? null : $to;
    }

    public function isNoticed(): bool
    {
        return $this->earlyMs() > self::EARLY_MS || $this->earlyMs() < -self::LATE_MS;
    }
}

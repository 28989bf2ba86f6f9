<?php

declare(strict_types=1);

namespace HiddenWire\Core\Levels;

use HiddenWire\Core\Equipment\Span;
use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Rig\PointRef;

/** A microphone's gain: its setting, and the one that brings the voice to its target. */
final readonly class Preamp
{
    public function __construct(public PointRef $at, public Span $span, public Decibels $now, public Decibels $wanted)
    {
    }

    /** What to dial in, as far as it goes. */
    public function toSet(): Decibels
    {
        return $this->span->nearest($this->wanted);
    }

    /** How much gain is missing, dB; 0 where it has enough. */
    public function shortDb(): float
    {
        return max(0.0, $this->wanted->value() - $this->span->to->value());
    }
}

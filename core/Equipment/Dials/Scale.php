<?php

declare(strict_types=1);

namespace HiddenWire\Core\Equipment\Dials;

/** How far a knob turns, in its unit, and by which steps one turns it. */
final readonly class Scale
{
    public function __construct(public int|float $from, public int|float $to, public string $unit, public int|float $step)
    {
    }
}

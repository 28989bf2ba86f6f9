<?php

declare(strict_types=1);

namespace HiddenWire\Core\Equipment;

use HiddenWire\Core\Quantity\Decibels;

/** How far the level of a route goes, and what is printed at it. */
final readonly class LevelRange
{
    use Ranged;

    /** @throws \RangeException when the range is empty */
    public function __construct(public Decibels $from, public Decibels $to, public ?OwnScale $scale = null)
    {
        if (! $from->isBelow($to)) {
            throw new \RangeException("A level goes up from {$from->text()} dB, not to {$to->text()} dB.");
        }
    }
}

<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig;

/** A unit, by its id. */
final readonly class UnitRef implements \Stringable
{
    public function __construct(public string $unit)
    {
    }

    public function __toString(): string
    {
        return $this->unit;
    }
}

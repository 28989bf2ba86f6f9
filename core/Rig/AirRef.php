<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig;

/** A path through the air: `unit/point>unit/point`. */
final readonly class AirRef implements \Stringable
{
    public function __construct(public PointRef $from, public PointRef $to)
    {
    }

    public function __toString(): string
    {
        return "{$this->from}>{$this->to}";
    }
}

<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig;

/** `unit/point` */
final readonly class PointRef implements \Stringable
{
    public function __construct(public string $unit, public string $point)
    {
    }

    public function __toString(): string
    {
        return $this->unit.'/'.$this->point;
    }
}

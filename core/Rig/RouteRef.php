<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig;

/** `unit/from>to` */
final readonly class RouteRef implements \Stringable
{
    public function __construct(public string $unit, public string $key)
    {
    }

    public function __toString(): string
    {
        return $this->unit.'/'.$this->key;
    }
}

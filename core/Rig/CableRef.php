<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig;

/** A cable, by its id. */
final readonly class CableRef implements \Stringable
{
    public function __construct(public string $cable)
    {
    }

    public function __toString(): string
    {
        return $this->cable;
    }
}

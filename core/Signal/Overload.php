<?php

declare(strict_types=1);

namespace HiddenWire\Core\Signal;

/** Where a sound is first louder than what it passes can take, and by how much. */
final readonly class Overload
{
    public function __construct(public Hop $hop, public float $overDb)
    {
    }
}

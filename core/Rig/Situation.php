<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig;

use HiddenWire\Core\With;

/** A named state of the whole rig: what differs from the base state. The first situation of a rig is its base. */
final readonly class Situation
{
    use With;

    /** @param  array<int, Change>  $changes */
    public function __construct(public string $id, public string $name, public array $changes = [])
    {
    }
}

<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig;

use HiddenWire\Core\With;

/** A finding that is known and may stay: it is open again as soon as its evidence is another. */
final readonly class Acceptance
{
    use With;

    /**
     * @param  string  $evidence  what it rests on, as 16 hexadecimal digits
     * @param  string  $says  the finding, as it was worded then
     */
    public function __construct(public string $evidence, public string $says, public string $why)
    {
    }
}

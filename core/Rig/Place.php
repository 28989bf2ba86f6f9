<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig;

use HiddenWire\Core\With;

/** Where units are: a desk, a computer, a console, someone else's end of a call. */
final readonly class Place
{
    use With;

    public function __construct(public string $id, public PlaceKind $kind, public string $name)
    {
    }
}

<?php

declare(strict_types=1);

namespace HiddenWire\Core\Signal;

use HiddenWire\Core\Edit\RigEdit;

/** One thing to switch off, mute, take back or unplug. */
final readonly class CutChange
{
    public function __construct(public HopKind $kind, public string $ref, public string $text, public RigEdit $edit)
    {
    }
}

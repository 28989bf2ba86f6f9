<?php

declare(strict_types=1);

namespace HiddenWire\Core\Signal;

use HiddenWire\Core\Edit\RigEdit;

/** One thing to change so that sound passes where it does not now. */
final readonly class JoiningChange
{
    /**
     * @param  string  $ref  the element to change: a route, a point, a pick; for a cable `unit/socket>unit/socket`
     * @param  RigEdit|null  $edit  the change itself, where the product can make it
     */
    public function __construct(public BlockKind $block, public string $ref, public string $text, public ?RigEdit $edit = null)
    {
    }
}

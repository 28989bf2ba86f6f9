<?php

declare(strict_types=1);

namespace HiddenWire\Core\Signal;

/** One thing to change so that sound passes where it does not now. */
final readonly class JoiningChange
{
    /** @param  string  $ref  the element to change: a route, a point, a pick; for a cable `unit/socket>unit/socket` */
    public function __construct(public BlockKind $block, public string $ref, public string $text)
    {
    }
}

<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig;

/** The one side of a listener's ears on which a sound is wanted, on purpose. */
enum Side: string
{
    case Left = 'left';
    case Right = 'right';
}

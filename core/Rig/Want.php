<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig;

/** What is wanted for one source at one listener. */
enum Want: string
{
    case Must = 'must';
    case May = 'may';
    case MustNot = 'must-not';
}

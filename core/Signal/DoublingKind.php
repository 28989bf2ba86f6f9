<?php

declare(strict_types=1);

namespace HiddenWire\Core\Signal;

/** What two copies of one sound do to it. */
enum DoublingKind: string
{
    case Adds = 'adds';
    case Cancels = 'cancels';
    case Drifts = 'drifts';
    case Combs = 'combs';
    case Echo = 'echo';
}

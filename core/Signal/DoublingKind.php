<?php

declare(strict_types=1);

namespace HiddenWire\Core\Signal;

/** What two copies of one sound do to it. */
enum DoublingKind: string
{
    case Adds = 'adds';
    case Cancels = 'cancels';
    /** Turned, and a little apart: the bass cancels. */
    case Thin = 'thin';
    case Drifts = 'drifts';
    case Combs = 'combs';
    case Echo = 'echo';
}

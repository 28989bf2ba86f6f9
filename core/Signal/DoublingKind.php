<?php

declare(strict_types=1);

namespace HiddenWire\Core\Signal;

/** What two arrivals of one sound do to each other, by how far apart they are. */
enum DoublingKind: string
{
    case Adds = 'adds';
    case Combs = 'combs';
    case Echo = 'echo';
}

<?php

declare(strict_types=1);

namespace HiddenWire\Core\History;

/** What became of something from one revision to another. */
enum Mark: string
{
    case Added = 'added';
    case Removed = 'removed';
    case Changed = 'changed';
}

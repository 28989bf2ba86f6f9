<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig;

/** Where things are; `remote` is someone else's end of a call. */
enum PlaceKind: string
{
    case Desk = 'desk';
    case Computer = 'computer';
    case Console = 'console';
    case Tablet = 'tablet';
    case Remote = 'remote';
}

<?php

declare(strict_types=1);

namespace HiddenWire\Core\Equipment;

/** What of a route a user can change. */
enum RouteSetting: string
{
    case On = 'on';
    case Db = 'db';
    case Tap = 'tap';
}

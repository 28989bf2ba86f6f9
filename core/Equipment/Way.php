<?php

declare(strict_types=1);

namespace HiddenWire\Core\Equipment;

/** Which way a lane carries its signal, seen from the unit. */
enum Way: string
{
    case In = 'in';
    case Out = 'out';
}

<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig;

/** How a program and the system share a device. */
enum DriverMode: string
{
    case Shared = 'shared';
    case Exclusive = 'exclusive';
    case Direct = 'direct';
}

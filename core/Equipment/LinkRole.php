<?php

declare(strict_types=1);

namespace HiddenWire\Core\Equipment;

/**
 * What a socket is on a computer's bus: a `host` collects devices, a `device` gives them, `upstream` and `downstream` are a hub's two
 * sides.
 */
enum LinkRole: string
{
    case Host = 'host';
    case Device = 'device';
    case Upstream = 'upstream';
    case Downstream = 'downstream';
}

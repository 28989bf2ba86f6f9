<?php

declare(strict_types=1);

namespace HiddenWire\Core\Edit;

/** What of a rig has a name that can be changed; the value is its list in the document. */
enum Named: string
{
    case Place = 'places';
    case Unit = 'units';
    case Source = 'sources';
    case Listener = 'listeners';
    case Situation = 'situations';
}

<?php

declare(strict_types=1);

namespace HiddenWire\Core\Equipment;

/** What a point is for. A sound begins at an `origin`; a listener is at an `ear`. */
enum PointKind: string
{
    case In = 'in';
    case Out = 'out';
    case Strip = 'strip';
    case Bus = 'bus';
    case Origin = 'origin';
    case Ear = 'ear';
}

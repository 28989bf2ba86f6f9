<?php

declare(strict_types=1);

namespace HiddenWire\Core\Progress;

/** What the next step is about. */
enum NextKind: string
{
    case Sounds = 'sounds';
    case Wishes = 'wishes';
    case Equipment = 'equipment';
    case Starts = 'starts';
    case Listens = 'listens';
    case Joins = 'joins';
    case Looking = 'looking';
    case Cure = 'cure';
    case Cures = 'cures';
    case Uncured = 'uncured';
    case Fault = 'fault';
    case Assumptions = 'assumptions';
    case Ready = 'ready';
}

<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig;

/** What a sound is. */
enum SourceKind: string
{
    case Voice = 'voice';
    case Game = 'game';
    case Music = 'music';
    case Instrument = 'instrument';
    case Alerts = 'alerts';
    case Caller = 'caller';
    case Console = 'console';
    case Browser = 'browser';
    case Ring = 'ring';
    case Other = 'other';
}

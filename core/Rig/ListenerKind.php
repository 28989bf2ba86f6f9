<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig;

/** Who or what receives. */
enum ListenerKind: string
{
    case Headphones = 'headphones';
    case Speakers = 'speakers';
    case Stream = 'stream';
    case Track = 'track';
    case Caller = 'caller';
    case Team = 'team';
    case Party = 'party';
}

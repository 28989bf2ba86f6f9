<?php

declare(strict_types=1);

namespace HiddenWire\Core\Signal;

/** Why nothing passes where something could. */
enum BlockKind: string
{
    case Off = 'off';
    case Muted = 'muted';
    case Shut = 'shut';
    case NothingPicked = 'nothing picked';
    case NoDefault = 'no default device';
    case Disabled = 'disabled';
    case LockedOut = 'held by another program';
    case OutOfScene = 'not in the scene';
    case Ducked = 'silent during calls';
    case NotConnected = 'not connected';
    case OtherDevicePicked = 'another device picked';
    case NoLoopback = 'no loopback on this system';
    case Refused = 'one more than the program opens';
    case NoPhantom = 'no phantom power';
    case NoPower = 'no power';
    case LacksNeed = 'without what it needs';
    case NotPlugged = 'not plugged';
    case Absent = 'not there';
}

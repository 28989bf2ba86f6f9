<?php

declare(strict_types=1);

namespace HiddenWire\Core\Signal;

/** What a step of a way is. */
enum HopKind: string
{
    case Origin = 'origin';
    case Gain = 'gain';
    case Fader = 'fader';
    case Route = 'route';
    case Cable = 'cable';
    case Hub = 'hub';
    case Device = 'device';
    case Air = 'air';
    /** What the system itself does: its level of a device, its processing, a recording device that it plays. */
    case System = 'system';
    /** One stage of a chain of effects, or what a system does to a sound other than its level. */
    case Effect = 'effect';
}

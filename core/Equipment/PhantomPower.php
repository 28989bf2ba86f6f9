<?php

declare(strict_types=1);

namespace HiddenWire\Core\Equipment;

/** Phantom power at a microphone socket. */
enum PhantomPower: string
{
    case Offers = 'offers';
    case Needs = 'needs';
}

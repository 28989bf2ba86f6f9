<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig;

/** Whose a unit is: what is borrowed or hired goes back after the show. */
enum Ownership: string
{
    case Own = 'own';
    case Borrowed = 'borrowed';
    case Hired = 'hired';
    case ToBuy = 'to-buy';
}

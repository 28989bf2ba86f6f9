<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig;

use HiddenWire\Core\Quantity\Decibels;

/** A wish that one listener hears the sounds in the same balance as another: louder or softer as a whole, but not against each other. */
final readonly class Balance
{
    /** @param  float  $withinDb  how far a sound may be off */
    public function __construct(public string $listener, public string $like, public float $withinDb)
    {
    }

    public function key(): string
    {
        return "{$this->listener} {$this->like}";
    }

    public function words(Rig $rig): string
    {
        return "{$rig->listeners[$this->listener]->name} hears the balance of {$rig->listeners[$this->like]->name} within "
            .Decibels::of($this->withinDb)->text().' dB';
    }
}

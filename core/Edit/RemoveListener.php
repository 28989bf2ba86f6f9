<?php

declare(strict_types=1);

namespace HiddenWire\Core\Edit;

use HiddenWire\Core\Rig\Balance;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Wish;

/** Takes a listener away, with what is wished for them. */
final readonly class RemoveListener implements RigEdit
{
    public function __construct(public string $listener)
    {
    }

    public function applyTo(Rig $rig): Rig
    {
        return new Rig($rig->parts()->without('listeners', $this->listener)->with(wishes: array_values(array_filter(
            $rig->wishes,
            fn (Wish $wish) => $wish->listener !== $this->listener,
        )), balances: array_values(array_filter(
            $rig->balances,
            fn (Balance $one) => $one->listener !== $this->listener && $one->like !== $this->listener,
        ))));
    }

    public function words(Rig $rig): string
    {
        return "Removed the listener {$rig->listeners[$this->listener]->name}";
    }
}

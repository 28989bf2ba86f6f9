<?php

declare(strict_types=1);

namespace HiddenWire\Core\Edit;

use HiddenWire\Core\Rig\Balance;
use HiddenWire\Core\Rig\Rig;

/** Wishes that a listener hears the balance of another, or no longer. */
final readonly class SetBalance implements RigEdit
{
    /** @param  float|null  $withinDb  null takes the wish back */
    public function __construct(public string $listener, public string $like, public ?float $withinDb)
    {
    }

    public function applyTo(Rig $rig): Rig
    {
        $set = $this->withinDb === null ? null : new Balance($this->listener, $this->like, $this->withinDb);
        $balances = [];
        $isThere = false;
        foreach ($rig->balances as $one) {
            $isSame = $one->key() === "{$this->listener} {$this->like}";
            $isThere = $isThere || $isSame;
            $kept = $isSame ? $set : $one;
            $balances = $kept === null ? $balances : [...$balances, $kept];
        }

        return new Rig($rig->parts()->with(balances: $isThere || $set === null ? $balances : [...$balances, $set]));
    }

    public function words(Rig $rig): string
    {
        return $this->withinDb === null
            ? "{$rig->listeners[$this->listener]->name} need not hear the balance of {$rig->listeners[$this->like]->name}"
            : (new Balance($this->listener, $this->like, $this->withinDb))->words($rig);
    }
}

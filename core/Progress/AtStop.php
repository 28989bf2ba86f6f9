<?php

declare(strict_types=1);

namespace HiddenWire\Core\Progress;

use HiddenWire\Core\Quantity\Count;

/** How far a rig is at one stop. */
final readonly class AtStop
{
    /**
     * @param  int|null  $open  how many things are open there; null where that is not known yet
     * @param  bool  $isBegun  whether there is anything yet
     */
    public function __construct(public Stop $stop, public ?int $open, public bool $isBegun)
    {
    }

    public function isDone(): bool
    {
        return $this->isBegun && $this->open === 0;
    }

    /** "3 open", for whoever does not see the mark. */
    public function words(): string
    {
        return match (true) {
            ! $this->isBegun => 'not begun',
            $this->open === null => 'being looked at',
            $this->open === 0 => 'nothing open',
            default => Count::of($this->open, 'thing').' open',
        };
    }
}

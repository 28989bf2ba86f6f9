<?php

declare(strict_types=1);

namespace HiddenWire\Core\Planning;

use HiddenWire\Core\Edit\RigEdit;
use HiddenWire\Core\Rig\InvalidRig;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\With;

/** A tried change: made on the rig and heard in every situation, it brings its cells to their wish and makes nothing worse. */
final readonly class Cure
{
    use With;

    /**
     * @param  string  $sentence  what to do: "Unmute Mic 1 of Desk mixer"
     * @param  list<RigEdit>  $edits
     * @param  list<Cell>  $cells  that become as wished
     * @param  list<string>  $costs  what else changes, in words: sounds that may be heard and then are not, levels that move
     * @param  int  $cost  for a technician, see {@see Cost}
     * @param  string|null  $keeps  which way of a doubled sound it leaves: "keeps the way by W-07"; null where that is not the question
     * @param  list<string>  $brings  what checks would say of the rig then, of a lead that is plugged in
     */
    public function __construct(
        public string $sentence,
        public array $edits,
        public array $cells,
        public array $costs,
        public int $cost,
        public ?string $keeps = null,
        public array $brings = [],
    ) {
    }

    /** @return list<string> what goes with it, to be said with it */
    public function remarks(): array
    {
        return [...($this->keeps === null ? [] : [$this->keeps]), ...$this->costs, ...$this->brings];
    }

    /**
     * The rig with the cure made.
     *
     * @throws InvalidRig where the rig has changed so that it can't be
     */
    public function applyTo(Rig $rig): Rig
    {
        return array_reduce($this->edits, fn (Rig $now, RigEdit $edit) => $edit->applyTo($now), $rig);
    }
}

<?php

declare(strict_types=1);

namespace HiddenWire\Core\Planning;

use HiddenWire\Core\Edit\RigEdit;
use HiddenWire\Core\Rig\InvalidRig;
use HiddenWire\Core\Rig\Rig;

/** A tried change: made on the rig and heard in every situation, it brings its cells to their wish and makes nothing worse. */
final readonly class Cure
{
    /**
     * @param  string  $sentence  what to do: "Unmute Mic 1 of Desk mixer"
     * @param  list<RigEdit>  $edits
     * @param  list<Cell>  $cells  that become as wished
     * @param  list<string>  $costs  what else changes, in words: sounds that may be heard and then are not, levels that move
     * @param  int  $cost  for a technician, see {@see Cost}
     */
    public function __construct(public string $sentence, public array $edits, public array $cells, public array $costs, public int $cost)
    {
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

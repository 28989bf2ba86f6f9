<?php

declare(strict_types=1);

namespace HiddenWire\Core\Edit;

use HiddenWire\Core\Rig\Control;
use HiddenWire\Core\Rig\Move;
use HiddenWire\Core\Rig\Rig;

/** Removes a control; moves of others for which it would have to be held go with it. What it moved stays as it stands. */
final readonly class RemoveControl implements RigEdit
{
    public function __construct(public string $control)
    {
    }

    public function applyTo(Rig $rig): Rig
    {
        $left = array_map(
            fn (Control $one) => array_filter($one->moves, fn (Move $move) => $move->with === $this->control) === [] ? $one
                : $one->with(moves: array_values(array_filter($one->moves, fn (Move $move) => $move->with !== $this->control))),
            array_diff_key($rig->controls, [$this->control => true]),
        );

        return new Rig($rig->parts()->with(controls: array_values($left)));
    }

    public function words(Rig $rig): string
    {
        return "Removed the control {$rig->controls[$this->control]->words()}";
    }
}

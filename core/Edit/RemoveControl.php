<?php

declare(strict_types=1);

namespace HiddenWire\Core\Edit;

use HiddenWire\Core\Rig\Hands;
use HiddenWire\Core\Rig\Rig;

/**
 * Removes a control; moves of others for which it would have to be held go with it. What it moved keeps its value. One that its unit comes
 * with is restored as supplied.
 */
final readonly class RemoveControl implements RigEdit
{
    public function __construct(public string $control)
    {
    }

    public function applyTo(Rig $rig): Rig
    {
        $left = array_values(array_diff_key($rig->controls, [$this->control => true]));

        return new Rig(Hands::held($rig->parts()->with(controls: $left)));
    }

    public function words(Rig $rig): string
    {
        return "Removed the control {$rig->controls[$this->control]->words()}";
    }
}

<?php

declare(strict_types=1);

namespace HiddenWire\Core\Edit;

use HiddenWire\Core\Rig\InvalidRig;
use HiddenWire\Core\Rig\Rig;

/** One change of a rig that a person makes. */
interface RigEdit
{
    /**
     * The rig with the change made.
     *
     * @throws InvalidRig when there would be no rig then
     */
    public function applyTo(Rig $rig): Rig;

    /** What is done, in words, for the history: "Presenter voice must be heard by Viewers". */
    public function words(Rig $rig): string;
}

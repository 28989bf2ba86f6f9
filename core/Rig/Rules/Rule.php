<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig\Rules;

/** One thing that has to hold for parts to be a rig. */
interface Rule
{
    public function check(Fit $in): void;
}

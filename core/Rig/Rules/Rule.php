<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig\Rules;

use HiddenWire\Core\Rig\Altered;

/** One thing that has to hold for parts to be a rig. */
interface Rule
{
    /** @return list<string> what it looks at, of {@see Altered::LISTS}, frame or papers: where that is as it was, so is its answer */
    public function reads(): array;

    public function check(Fit $in): void;
}

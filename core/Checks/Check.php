<?php

declare(strict_types=1);

namespace HiddenWire\Core\Checks;

/** Looks at a rig for one kind of thing. A new one is a class and a line in {@see Checks}. */
interface Check
{
    /** Stable, as people and programs know it: "ground.loop". */
    public function code(): string;

    /** @return iterable<Finding> a finding of several situations may come once for each */
    public function findings(Inspection $in): iterable;
}

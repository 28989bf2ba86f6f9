<?php

declare(strict_types=1);

namespace HiddenWire\Core\Planning;

/** One kind of thing that goes wrong and can be put right. */
interface Remedy
{
    /** Whether it takes a cable in hand: such are looked for where nothing easier mends all of a sound. */
    public function isOfCables(): bool;

    /** @return iterable<Candidate> changes that may bring a cell to its wish */
    public function candidates(Trouble $trouble): iterable;
}

<?php

declare(strict_types=1);

namespace HiddenWire\Core\Book;

/** One part of the book. A new one is a class and a line in {@see Parts}. */
interface Part
{
    /** Its name in an address and on the command line. */
    public function key(): string;

    /** Its heading and its line in the contents. */
    public function title(): string;

    /** @return list<Block> empty where the rig has nothing to say there: then it is left out */
    public function blocks(BookInput $of): array;
}

<?php

declare(strict_types=1);

namespace HiddenWire\Core\Book\Parts;

use HiddenWire\Core\Book\BookInput;
use HiddenWire\Core\Book\Cards;
use HiddenWire\Core\Book\Part;

/** Opening and closing the show, in order. */
final class RunDown implements Part
{
    public function key(): string
    {
        return 'run-down';
    }

    public function title(): string
    {
        return 'Run-down';
    }

    public function blocks(BookInput $of): array
    {
        return $of->rig->units === [] && $of->rig->papers->steps === [] ? [] : Cards\RunDown::card($of, 'run-down')->blocks();
    }
}

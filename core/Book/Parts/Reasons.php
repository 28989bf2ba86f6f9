<?php

declare(strict_types=1);

namespace HiddenWire\Core\Book\Parts;

use HiddenWire\Core\Book\BookInput;
use HiddenWire\Core\Book\Part;
use HiddenWire\Core\Book\Table;
use HiddenWire\Core\Rig\Reason;

/** Why things are as they are, and what has to be left alone. */
final class Reasons implements Part
{
    public function key(): string
    {
        return 'reasons';
    }

    public function title(): string
    {
        return 'Why';
    }

    public function blocks(BookInput $of): array
    {
        $rows = array_values(array_map(fn (Reason $reason) => [
            $reason->about->words($of->rig), $reason->leaveAlone ? 'yes' : '', $reason->why,
        ], $of->rig->papers->reasons));

        return $rows === [] ? [] : [new Table(['About', 'Leave alone', 'Why'], $rows, [1.6, 0.7, 3])];
    }
}

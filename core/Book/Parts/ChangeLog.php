<?php

declare(strict_types=1);

namespace HiddenWire\Core\Book\Parts;

use HiddenWire\Core\Book\Part;
use HiddenWire\Core\Book\Source;
use HiddenWire\Core\Book\Table;

/** What was changed, by whom and when. */
final class ChangeLog implements Part
{
    public function key(): string
    {
        return 'changes';
    }

    public function title(): string
    {
        return 'Change log';
    }

    public function blocks(Source $of): array
    {
        return $of->changes === [] ? [] : [new Table(['When', 'Who', 'What'], array_map(
            fn (array $change) => [$change[0], $change[1], $change[2]],
            $of->changes,
        ), [1.1, 0.9, 4])];
    }
}

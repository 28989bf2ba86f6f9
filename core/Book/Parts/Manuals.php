<?php

declare(strict_types=1);

namespace HiddenWire\Core\Book\Parts;

use HiddenWire\Core\Book\BookInput;
use HiddenWire\Core\Book\Part;
use HiddenWire\Core\Book\Table;

/** Where manuals and drivers are. */
final class Manuals implements Part
{
    public function key(): string
    {
        return 'manuals';
    }

    public function title(): string
    {
        return 'Manuals and drivers';
    }

    public function blocks(BookInput $of): array
    {
        $rows = [];
        foreach ($of->rig->units as $unit) {
            foreach ($unit->links as $link) {
                $rows[] = [$unit->name, $of->rig->modelOf($unit)->name, $link->label, $link->url];
            }
        }

        return $rows === [] ? [] : [new Table(['Unit', 'Model', 'What', 'Where'], $rows, [1.2, 1.4, 1, 2.6])];
    }
}

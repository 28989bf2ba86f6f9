<?php

declare(strict_types=1);

namespace HiddenWire\Core\Book\Parts;

use HiddenWire\Core\Book\BookInput;
use HiddenWire\Core\Book\Heading;
use HiddenWire\Core\Book\Part;

/** Pictures of how units are set. */
final class Photos implements Part
{
    public function key(): string
    {
        return 'pictures';
    }

    public function title(): string
    {
        return 'Pictures of settings';
    }

    public function blocks(BookInput $of): array
    {
        $blocks = [];
        foreach ($of->rig->units as $unit) {
            if (($of->photos[$unit->id] ?? []) !== []) {
                $blocks = [...$blocks, new Heading($unit->name), ...$of->photos[$unit->id]];
            }
        }

        return $blocks;
    }
}

<?php

declare(strict_types=1);

namespace HiddenWire\Core\Book\Parts;

use HiddenWire\Core\Book\BookInput;
use HiddenWire\Core\Book\Figure;
use HiddenWire\Core\Book\Part;

/** The map of the cables, and of the insides. */
final class Maps implements Part
{
    public function key(): string
    {
        return 'maps';
    }

    public function title(): string
    {
        return 'Maps';
    }

    public function blocks(BookInput $of): array
    {
        return $of->rig->units === [] ? [] : [
            new Figure('cables', $this->captionOf('cables')),
        ];
    }

    public function captionOf(string $depth): string
    {
        return $depth === 'cables' ? 'Cables between units' : 'Programs, devices and what passes inside';
    }
}

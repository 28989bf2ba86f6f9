<?php

declare(strict_types=1);

namespace HiddenWire\Core\Book\Parts;

use HiddenWire\Core\Book\BookInput;
use HiddenWire\Core\Book\Cards;
use HiddenWire\Core\Book\Heading;
use HiddenWire\Core\Book\Part;
use HiddenWire\Core\Book\Table;

/** The cabling card on paper: each end of a lead where it is plugged, in the order of the work, with room for a tick. */
final class Cabling implements Part
{
    public function key(): string
    {
        return Cards\Cabling::KEY;
    }

    public function title(): string
    {
        return 'Cabling card';
    }

    public function blocks(BookInput $of): array
    {
        $blocks = [];
        foreach ($of->rig->places as $place) {
            $rows = array_map(
                fn (array $end): array => ['', $end['unit'], $end['label'], $end['socket'], $end['cable'], $end['other']],
                Cards\Cabling::ends($of, $place),
            );
            if ($rows !== []) {
                $blocks[] = new Heading($place->name);
                $blocks[] = new Table(['Done', 'Unit', 'Label', 'Goes in', 'Cable', 'Other end'], $rows, [0.4, 1.6, 0.7, 1.6, 1.5, 2.4]);
            }
        }

        return $blocks;
    }
}

<?php

declare(strict_types=1);

namespace HiddenWire\Core\Book\Parts;

use HiddenWire\Core\Book\BookInput;
use HiddenWire\Core\Book\Part;
use HiddenWire\Core\Book\Schedule;
use HiddenWire\Core\Book\Table;

/** Every cable: both ends, type, length, colour, what it carries. */
final class CableSchedule implements Part
{
    public function key(): string
    {
        return 'cables';
    }

    public function title(): string
    {
        return 'Cable schedule';
    }

    public function blocks(BookInput $of): array
    {
        $end = fn (array $end): string => "{$end['place']}: {$end['unit']} · {$end['socket']} ({$end['connector']})";
        $rows = array_map(fn (array $row) => [
            $row['label'],
            $end($row['from']),
            $end($row['to']),
            $row['type'],
            $row['length_m'] === null ? '' : "{$row['length_m']}",
            $row['colour'],
            $row['content'],
            $row['owned'] ? 'yes' : 'to buy',
        ], (new Schedule($of))->rows());

        return $rows === [] ? [] : [new Table(
            ['Label', 'From', 'To', 'Type', 'Length, m', 'Colour', 'Carries', 'Owned'],
            $rows,
            [0.7, 2.4, 2.4, 0.9, 0.7, 0.8, 2.3, 0.7],
            isWide: true,
        )];
    }
}

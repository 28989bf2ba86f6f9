<?php

declare(strict_types=1);

namespace HiddenWire\Core\Export;

use HiddenWire\Core\Book\BookInput;
use HiddenWire\Core\Book\Schedule;

/** The cable schedule: one row a cable. */
final class CableCsv implements Exporter
{
    public const COLUMNS = [
        'Label', 'From place', 'From unit', 'From socket', 'From connector', 'To place', 'To unit', 'To socket', 'To connector', 'Type',
        'Length (m)', 'Colour', 'Carries', 'Owned', 'Price', 'Supplier',
    ];

    public function key(): string
    {
        return 'cables-csv';
    }

    public function label(): string
    {
        return 'Cable schedule (CSV)';
    }

    public function extension(): string
    {
        return 'csv';
    }

    public function mediaType(): string
    {
        return 'text/csv; charset=utf-8';
    }

    public function write(BookInput $of): string
    {
        return Csv::of(self::COLUMNS, self::rows($of));
    }

    /** @return list<list<string|int|float|null>> */
    public static function rows(BookInput $of): array
    {
        return array_map(fn (array $row) => [
            $row['label'],
            ...array_values($row['from']),
            ...array_values($row['to']),
            $row['type'],
            $row['length_m'],
            $row['colour'],
            $row['content'],
            $row['owned'] ? 'yes' : 'no',
            $row['price'],
            $row['supplier'],
        ], (new Schedule($of))->rows());
    }
}

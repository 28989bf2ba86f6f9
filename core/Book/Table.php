<?php

declare(strict_types=1);

namespace HiddenWire\Core\Book;

/** Rows under columns; the first column names the row. */
final readonly class Table implements Block
{
    /**
     * @param  list<string>  $columns
     * @param  list<list<string|Travel|See>>  $rows  as many cells as there are columns
     * @param  list<float>  $widths  shares of the width, one a column; empty for equal ones
     */
    public function __construct(public array $columns, public array $rows, public array $widths = [])
    {
        foreach ($rows as $row) {
            if (count($row) !== count($columns)) {
                throw new \LogicException('A row of the table "'.implode(', ', $columns).'" has '.count($row).' cells.');
            }
        }
    }
}

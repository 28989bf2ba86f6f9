<?php

declare(strict_types=1);

namespace HiddenWire\Core\Book;

/**
 * What joins inside a unit or a computer, to be drawn: a line for each row, and a mark where one gives to another. Rows that only give come
 * first, those that only take come last; a row takes from rows above it, but for what runs in a circle.
 */
final readonly class Inside implements Block
{
    /**
     * @param  list<InsideRow>  $rows
     * @param  list<array{int, int, bool}>  $joins  which row gives to which, and whether it does in the default; else in another situation
     */
    public function __construct(public string $caption, public array $rows, public array $joins)
    {
    }
}

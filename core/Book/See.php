<?php

declare(strict_types=1);

namespace HiddenWire\Core\Book;

/** A reference to another place in the book: a paragraph, or a cell of a table. On paper it has the number of the page behind it. */
final readonly class See implements \Stringable, Block
{
    /** @param  string  $before  what is said of it: "Set all as in" */
    public function __construct(public Part $part, public string $before = '')
    {
    }

    /** "Set all as in Mixes and settings" */
    public function __toString(): string
    {
        return trim("{$this->before} {$this->part->title()}");
    }
}

<?php

declare(strict_types=1);

namespace HiddenWire\Core\Book;

/** The map of the rig at one depth: drawn by whatever writes the book, where there is a drawing. */
final readonly class Figure implements Block
{
    /** @param  string  $depth  cables, sockets, inside or everything */
    public function __construct(public string $depth, public string $caption)
    {
    }
}

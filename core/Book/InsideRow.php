<?php

declare(strict_types=1);

namespace HiddenWire\Core\Book;

/** A row of a drawing of what joins inside: something that gives sound, takes it, or both. */
final readonly class InsideRow
{
    /**
     * @param  string  $note  what it hangs on: the label of a lead, or what it is of; may be empty
     * @param  bool  $gives  whether another row takes from it
     * @param  bool  $takes  whether it takes from another row
     */
    public function __construct(public string $label, public string $note, public bool $gives, public bool $takes)
    {
    }
}

<?php

declare(strict_types=1);

namespace HiddenWire\Core\Book;

/** A heading inside a part: of a computer, of a situation. */
final readonly class Heading implements Block
{
    public function __construct(public string $text)
    {
    }
}

<?php

declare(strict_types=1);

namespace HiddenWire\Core\Book;

/** A paragraph. */
final readonly class Text implements Block
{
    public function __construct(public string $text)
    {
    }
}

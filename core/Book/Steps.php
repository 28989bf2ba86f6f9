<?php

declare(strict_types=1);

namespace HiddenWire\Core\Book;

/** What a hand does in order; each can be ticked. */
final readonly class Steps implements Block
{
    /** @param  list<string>  $steps */
    public function __construct(public array $steps)
    {
    }
}

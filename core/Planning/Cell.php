<?php

declare(strict_types=1);

namespace HiddenWire\Core\Planning;

use HiddenWire\Core\Signal\HeardPair;

/** One cell of the hearing tables: a source at a listener in a situation. */
final readonly class Cell
{
    public function __construct(public string $source, public string $listener, public string $situation)
    {
    }

    public static function of(HeardPair $pair, string $situation): self
    {
        return new self($pair->source->id, $pair->listener->id, $situation);
    }

    public function key(): string
    {
        return "{$this->source} {$this->listener} {$this->situation}";
    }
}

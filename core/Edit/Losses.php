<?php

declare(strict_types=1);

namespace HiddenWire\Core\Edit;

/** What could not be carried over, in words, in the order in which it was found. */
final class Losses
{
    /** @var list<string> */
    private array $lost = [];

    /** Returns null, the value of what was lost. */
    public function add(string $what): null
    {
        $this->lost[] = $what;

        return null;
    }

    /** @return list<string> each once */
    public function all(): array
    {
        return array_values(array_unique($this->lost));
    }
}

<?php

declare(strict_types=1);

namespace HiddenWire\Core\Edit;

/** What did not fit, in words, as it is found. */
final class Losses
{
    /** @var list<string> */
    private array $lost = [];

    /** @return null for what is left of it */
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

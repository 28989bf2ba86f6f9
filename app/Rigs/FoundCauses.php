<?php

declare(strict_types=1);

namespace App\Rigs;

use HiddenWire\Core\Planning\Cause;
use HiddenWire\Core\Planning\Cell;
use HiddenWire\Core\Planning\Cure;

/** What was found of a rig's causes, kept for its revision. */
final readonly class FoundCauses
{
    /**
     * @param  list<Cause>  $causes
     * @param  int  $cells  how many are not as wished, all situations together
     * @param  int  $untried  changes that were come upon and not tried
     */
    public function __construct(public array $causes, public int $cells, public int $untried)
    {
    }

    /** A cure by its number, "2.1" for the first of the second cause; null where there is none. */
    public function cure(string $number): ?Cure
    {
        return preg_match('/^([1-9]\d{0,3})\.([1-9]\d?)$/', $number, $found) === 1
            ? $this->causes[(int) $found[1] - 1]->cures[(int) $found[2] - 1] ?? null
            : null;
    }

    /** @return array<int, Cause> the causes that explain a cell, by their place */
    public function ofCell(Cell $cell): array
    {
        return array_filter(
            $this->causes,
            fn (Cause $cause) => array_filter($cause->cells, fn (Cell $one) => $one->key() === $cell->key()) !== [],
        );
    }

    /** Whether there is more than one cause with a cure. */
    public function hasSeveralCures(): bool
    {
        return count(array_filter($this->causes, fn (Cause $cause) => $cause->cures !== [])) > 1;
    }
}

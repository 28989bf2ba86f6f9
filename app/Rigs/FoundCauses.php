<?php

declare(strict_types=1);

namespace App\Rigs;

use HiddenWire\Core\Checks\Finding;
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
     * @param  list<Finding>  $findings  of the checks, with their cures
     * @param  list<string>  $fresh  evidence of those that were not there when somebody last looked
     */
    public function __construct(
        public array $causes,
        public int $cells,
        public int $untried,
        public array $findings = [],
        public array $fresh = [],
    ) {
    }

    public function finding(string $evidence): ?Finding
    {
        foreach ($this->findings as $finding) {
            if ($finding->evidence() === $evidence) {
                return $finding;
            }
        }

        return null;
    }

    /** A cure by its number: "2.1" is the first of the second cause, "f2.1" of the second finding; null where there is none. */
    public function cure(string $number): ?Cure
    {
        if (preg_match('/^(f?)([1-9]\d{0,3})\.([1-9]\d?)$/', $number, $found) !== 1) {
            return null;
        }
        $of = $found[1] === 'f' ? $this->findings : $this->causes;

        return $of[(int) $found[2] - 1]->cures[(int) $found[3] - 1] ?? null;
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

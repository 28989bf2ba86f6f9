<?php

declare(strict_types=1);

namespace App\Rigs;

use HiddenWire\Core\Checks\Finding;
use HiddenWire\Core\Checks\Severity;
use HiddenWire\Core\Planning\Cause;
use HiddenWire\Core\Planning\Cell;
use HiddenWire\Core\Planning\Cure;
use HiddenWire\Core\Quantity\Count;
use HiddenWire\Core\Rig\Papers;

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

    /** @return array<int, Finding> by their place among all: those that nobody has accepted */
    public function open(Papers $papers): array
    {
        return array_filter($this->findings, fn (Finding $finding) => $papers->acceptanceOf($finding->evidence()) === null);
    }

    /** "2 faults, 5 risks, 1 new": of what nobody has accepted; empty where nothing is found. */
    public function words(Papers $papers): string
    {
        $open = $this->open($papers);
        $words = array_map(function (Severity $severity) use ($open): string {
            $count = count(array_filter($open, fn (Finding $one) => $one->severity === $severity));

            return $count === 0 ? '' : Count::of($count, $severity->value);
        }, Severity::cases());
        $fresh = count(array_filter($open, fn (Finding $one) => in_array($one->evidence(), $this->fresh, true)));

        return implode(', ', array_filter([...$words, $fresh === 0 ? '' : "{$fresh} new"]));
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

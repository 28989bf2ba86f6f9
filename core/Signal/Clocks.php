<?php

declare(strict_types=1);

namespace HiddenWire\Core\Signal;

/**
 * The converter clocks that a sound has passed. Two copies that came by different clocks drift against each other and never arrive at the
 * same time for long, whatever their delays. Each set of clocks has a number; 0 is the empty one.
 */
final class Clocks
{
    /** Sets beyond this number are no longer distinguished; a rig has a handful. */
    private const MOST_SETS = 4096;

    /** @var array<array-key, int> number of a clock by the unit that has it, from 1 */
    private array $numbers = [];

    /** @var array<string, int> number of a set by its members in order */
    private array $sets = ['' => 0];

    /** @var list<list<int>> members by the number of the set */
    private array $members = [[]];

    /** @var array<int, array<int, int>> the set that a set becomes with one more clock */
    private array $with = [];

    public function number(string $unit): int
    {
        return $this->numbers[$unit] ??= count($this->numbers) + 1;
    }

    /** The set that a set of clocks becomes when the sound passes one more. */
    public function with(int $set, int $clock): int
    {
        return $this->with[$set][$clock] ??= $this->united([...$this->members[$set], $clock]);
    }

    /** The set of the clocks of two. */
    public function both(int $set, int $other): int
    {
        return $set === $other ? $set : $this->united([...$this->members[$set], ...$this->members[$other]]);
    }

    /** @param  list<int>  $members */
    private function united(array $members): int
    {
        $members = array_values(array_unique($members));
        sort($members);
        $name = implode(',', $members);
        if (! isset($this->sets[$name])) {
            if (count($this->members) >= self::MOST_SETS) {
                return self::MOST_SETS - 1;
            }
            $this->sets[$name] = count($this->members);
            $this->members[] = $members;
        }

        return $this->sets[$name];
    }
}

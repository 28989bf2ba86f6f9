<?php

declare(strict_types=1);

namespace Tests\Bench;

use HiddenWire\Core\Finder\FaultFinder;
use HiddenWire\Core\Finder\SuspectTable;
use HiddenWire\Core\Planning\Hearings;
use HiddenWire\Core\Rig\InvalidRig;
use HiddenWire\Core\Room\Fault;
use HiddenWire\Core\Room\SimulatedRoom;

/** Faults are hidden in the simulated room, and the finder asks it until it is sure. */
final class Finding
{
    private readonly SuspectTable $table;

    /** Of all suspects, in ms. */
    public readonly float $heardIn;

    private float $slowest = 0.0;

    public function __construct(private readonly Hearings $plan, private readonly string $situation)
    {
        $start = hrtime(true);
        $this->table = SuspectTable::of($plan, $situation);
        $this->heardIn = (hrtime(true) - $start) / 1e6;
    }

    /** @return array{faults: int, found: int, bits: float, bound: float, checks: int, slowest: float, rest: list<string>} */
    public function single(int $every = 1): array
    {
        $result = ['faults' => 0, 'found' => 0, 'bits' => 0.0, 'bound' => 0.0, 'checks' => 0, 'slowest' => 0.0, 'rest' => []];
        foreach (Fault::all($this->plan->rig) as $number => $fault) {
            $room = $number % $every === 0 ? $this->room([$fault]) : null;
            if ($room === null || $room->complaints() === []) {
                continue;
            }
            $result['faults']++;
            [$found, $bits, $bound, $checks] = $this->ask($room, $room->complaints());
            $isFound = $found === [$fault->words];
            $result['found'] += $isFound ? 1 : 0;
            $result['bits'] += $bits;
            $result['bound'] += $bound;
            $result['checks'] += $checks;
            if (! $isFound) {
                $result['rest'][] = "{$fault->words}: found ".(implode(' and ', $found) ?: 'nothing');
            }
        }

        return ['slowest' => $this->slowest] + $result;
    }

    /**
     * Two at a time; where one explains all that is heard, it is mended, and the search begins again with what is still wrong.
     *
     * @return array{pairs: int, both: int, slowest: float, rest: list<string>}
     */
    public function pairs(int $count, int $seed): array
    {
        $result = ['pairs' => 0, 'both' => 0, 'slowest' => 0.0, 'rest' => []];
        $faults = Fault::all($this->plan->rig);
        mt_srand($seed);
        for ($try = 0; $try < 12 * $count && $result['pairs'] < $count; $try++) {
            [$one, $two] = [$faults[mt_rand(0, count($faults) - 1)], $faults[mt_rand(0, count($faults) - 1)]];
            $rooms = [$this->room([$one]), $this->room([$two]), $this->room([$one, $two])];
            if ($one === $two || in_array([], array_map(fn (?SimulatedRoom $room) => $room?->complaints() ?? [], $rooms), true)) {
                continue;
            }
            $result['pairs']++;
            [$found] = $this->ask($rooms[2], $rooms[2]->complaints());
            if (count($found) === 1) {
                $left = array_values(array_filter([$one, $two], fn (Fault $fault) => ! in_array($fault->words, $found, true)));
                $room = count($left) === 1 ? $this->room($left) : null;
                $found = $room === null ? $found : [...$found, ...$this->ask($room, $room->complaints())[0]];
            }
            $hidden = [$one->words, $two->words];
            sort($found);
            sort($hidden);
            $result['both'] += $found === $hidden ? 1 : 0;
            if ($found !== $hidden) {
                $result['rest'][] = implode(' AND ', $hidden).': found '.(implode(' and ', $found) ?: 'nothing');
            }
        }

        return ['slowest' => $this->slowest] + $result;
    }

    /**
     * @param  array<string, string>  $known
     * @return array{list<string>, float, float, int} what was found, bits until one class was left, the bound, checks in all
     */
    private function ask(SimulatedRoom $room, array $known): array
    {
        $finder = new FaultFinder($this->table, $known);
        $bound = log(max(1, $finder->classes()), 2);
        $bits = 0.0;
        for ($checks = 0; ; $checks++) {
            $start = hrtime(true);
            $next = $finder->next();
            if ($next === null) {
                break;
            }
            $bits += $finder->classes() > 1 ? $next->cost() : 0.0;
            $known[$next->key] = $room->answer($next->key);
            $finder = new FaultFinder($this->table, $known);
            $this->slowest = max($this->slowest, (hrtime(true) - $start) / 1e6);
        }
        $words = array_map(fn (int $fault) => $this->table->faults[$fault]->words, $finder->suspicions[0]->faults ?? []);
        sort($words);

        return [$words, $bits, $bound, $checks];
    }

    /** @param  non-empty-list<Fault>  $faults */
    private function room(array $faults): ?SimulatedRoom
    {
        try {
            return new SimulatedRoom($this->plan, $this->situation, $faults);
        } catch (InvalidRig|\ErrorException|\TypeError) {
            return null;
        }
    }
}

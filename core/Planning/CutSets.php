<?php

declare(strict_types=1);

namespace HiddenWire\Core\Planning;

use HiddenWire\Core\Edit\SetPick;
use HiddenWire\Core\Edit\SetPoint;
use HiddenWire\Core\Edit\SetRoute;
use HiddenWire\Core\Edit\Unplug;
use HiddenWire\Core\Equipment\RouteSetting;
use HiddenWire\Core\Rig\CableRef;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\PointSettings;
use HiddenWire\Core\Rig\RouteRef;
use HiddenWire\Core\Rig\RouteSettings;
use HiddenWire\Core\Signal\Arrival;
use HiddenWire\Core\Signal\Hearing;
use HiddenWire\Core\Signal\Hop;
use HiddenWire\Core\Signal\Verdict;

/** Several things together that stop every way of a sound, or all but one where it is doubled, and leave every wanted sound a way. */
final class CutSets
{
    /** A cut of more changes than this is no cure any more but another rig. */
    private const MOST = 3;

    /** Wanted sounds that have to keep a way. */
    private const WANTED = 200;

    /** Sets that are looked at. */
    private const SETS = 4000;

    /** @var list<list<array<string, true>>> for each wanted sound that arrives, its ways as sets of steps */
    private array $wanted = [];

    public function __construct(private readonly Trouble $trouble, Hearing $hearing)
    {
        $wanted = [];
        foreach ($trouble->hasTooMuch() ? $hearing->all() : [] as $pair) {
            if ($pair->meetsMust() && $pair !== $trouble->pair) {
                $wanted[] = $pair;
            }
        }
        // Of very many some are looked at; whether the rest is left whole shows when it is tried.
        foreach (array_slice($wanted, 0, self::WANTED) as $pair) {
            $this->wanted[] = array_map($this->steps(...), $pair->arrivals());
        }
    }

    /** @return iterable<Candidate> the smallest sets */
    public function candidates(): iterable
    {
        $arrivals = array_slice($this->trouble->pair->arrivals(), 0, 16);
        if (! $this->trouble->hasTooMuch() || $arrivals === []) {
            return;
        }
        if ($this->trouble->pair->verdict === Verdict::Leak) {
            yield from $this->stopping($arrivals);

            return;
        }
        foreach (array_slice($arrivals, 0, 4) as $stays) {
            // A stereo pair of leads is one arrival with two legs: they stay or go together.
            yield from $this->stopping(array_values(array_filter(
                $arrivals,
                fn (Arrival $one) => $one !== $stays && ! $stays->isLegBeside($one),
            )));
        }
    }

    /**
     * @param  list<Arrival>  $arrivals
     * @return iterable<Candidate>
     */
    private function stopping(array $arrivals): iterable
    {
        $choices = [];
        foreach ($arrivals as $arrival) {
            foreach (array_reverse($arrival->hops) as $hop) {
                $candidate = $this->change($hop);
                if ($candidate !== null && $this->leavesWanted([$this->step($hop) => true])) {
                    $choices[$this->step($hop)] = $candidate;
                }
            }
        }
        $stopped = array_map($this->steps(...), $arrivals);
        // Where the widest few together don't meet every way, no few do.
        $met = array_map(
            fn (string $step) => count(array_filter($stopped, fn (array $steps) => isset($steps[$step]))),
            array_map(strval(...), array_keys($choices)),
        );
        rsort($met);
        if (array_sum(array_slice($met, 0, self::MOST)) < count($stopped)) {
            return;
        }
        $looked = 0;
        for ($size = 2; $size <= self::MOST && $size <= count($choices); $size++) {
            $found = false;
            foreach ($this->sets(array_map(strval(...), array_keys($choices)), $size) as $keys) {
                if (++$looked > self::SETS) {
                    return;
                }
                $set = array_fill_keys($keys, true);
                if ($this->meetsAll($set, $stopped) && $this->leavesWanted($set)) {
                    $found = true;
                    yield array_reduce(
                        array_slice($keys, 1),
                        fn (Candidate $all, string $key) => $all->with($choices[$key]),
                        $choices[$keys[0]],
                    );
                }
            }
            if ($found) {
                return;
            }
        }
    }

    /**
     * @param  list<string>  $keys
     * @return \Generator<int, list<string>>
     */
    private function sets(array $keys, int $size, int $from = 0): \Generator
    {
        if ($size === 0) {
            yield [];

            return;
        }
        for ($i = $from; $i <= count($keys) - $size; $i++) {
            foreach ($this->sets($keys, $size - 1, $i + 1) as $rest) {
                yield [$keys[$i], ...$rest];
            }
        }
    }

    private function change(Hop $hop): ?Candidate
    {
        $trouble = $this->trouble;
        $situation = $trouble->rig->isBase($trouble->cell->situation) ? null : $trouble->cell->situation;
        $at = $hop->pick ?? $hop->at;

        return match (true) {
            $at instanceof CableRef => new Candidate(
                "unplug {$at}",
                "{$hop->label} carries it",
                "Unplug {$hop->label}",
                [new Unplug($at->cable)],
                Cost::UNPLUG,
                [$at],
            ),
            $hop->pick !== null => new Candidate(
                "pick {$hop->pick} none",
                "{$trouble->names->of($hop->pick)} takes it",
                $trouble->pickingNone($hop->pick),
                [new SetPick($hop->pick, null)],
                Cost::NO_PICK,
                [$hop->pick],
            ),
            $at instanceof RouteRef && $trouble->rig->modelOf($at->unit)
                ->routes[$at->key]->allows(RouteSetting::On) => new Candidate(
                    "route {$at} off",
                    "{$trouble->names->of($at)} is on",
                    "Switch off {$trouble->partOf($at)}",
                    [new SetRoute($at, new RouteSettings(on: false), $situation)],
                    Cost::SWITCH,
                    [$at],
                ),
            $at instanceof PointRef && $trouble->rig->point($at)
                ->mute !== null => new Candidate(
                    "mute {$at}",
                    "{$trouble->names->of($at)} is not muted",
                    "Mute {$trouble->partOf($at)}",
                    [new SetPoint($at, new PointSettings(mute: true), $situation)],
                    Cost::SWITCH,
                    [$at],
                ),
            default => null,
        };
    }

    /**
     * @param  array<string, true>  $cut
     * @param  list<array<string, true>>  $ways
     */
    private function meetsAll(array $cut, array $ways): bool
    {
        foreach ($ways as $steps) {
            if (array_intersect_key($cut, $steps) === []) {
                return false;
            }
        }

        return true;
    }

    /** @param  array<string, true>  $cut */
    private function leavesWanted(array $cut): bool
    {
        foreach ($this->wanted as $ways) {
            if ($this->meetsAll($cut, $ways)) {
                return false;
            }
        }

        return true;
    }

    private function step(Hop $hop): string
    {
        return "{$hop->kind->value} {$hop->ref} {$hop->pick}";
    }

    /** @return array<string, true> */
    private function steps(Arrival $arrival): array
    {
        return array_fill_keys(array_map($this->step(...), $arrival->hops), true);
    }
}

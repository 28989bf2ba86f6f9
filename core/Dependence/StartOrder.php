<?php

declare(strict_types=1);

namespace HiddenWire\Core\Dependence;

use HiddenWire\Core\Equipment\Family;
use HiddenWire\Core\Rig\Unit;
use HiddenWire\Core\Signal\SignalGraph;

/**
 * In which order the programs of one computer have to start: a program after those that it needs, and after those that install a device
 * which it has picked. Among those that don't care, those of an earlier turn come first.
 */
final readonly class StartOrder
{
    /** @var list<Unit> those in a circle come last */
    public array $order;

    /** @var list<array{Unit, Unit}> pairs of which the first has an earlier turn, and needs the second to run before it */
    public array $late;

    /** @var list<Unit> programs that need each other, so that none can start first */
    public array $circle;

    /** @var array<array-key, array<array-key, true>> what has to run before, by program */
    private array $before;

    public function __construct(SignalGraph $graph, string $place)
    {
        $programs = array_filter(
            $graph->rig->units,
            fn (Unit $unit) => $unit->place === $place && $graph->rig->modelOf($unit)->isProgram(),
        );
        $before = array_fill_keys(array_keys($programs), []);
        foreach ($programs as $id => $program) {
            foreach ($program->needs as $need) {
                $before[$id] += isset($programs[$need]) && $this->isStarted($graph, $programs[$need]) ? [$need => true] : [];
            }
            foreach ($graph->rig->modelOf($program)->points as $point) {
                foreach ($point->picks === null ? [] : $graph->allPicked($program, $point) as $device) {
                    $by = $device->ref->lane === null && $device->ref->unit !== $id ? $programs[$device->ref->unit] ?? null : null;
                    $before[$id] += $by !== null && $this->isStarted($graph, $by) ? [$by->id => true] : [];
                }
            }
        }
        $this->before = $before;
        $order = [];
        $left = $programs;
        uasort($left, fn (Unit $a, Unit $b) => ($a->start ?? PHP_INT_MAX) <=> ($b->start ?? PHP_INT_MAX));
        do {
            $count = count($left);
            foreach ($left as $id => $program) {
                if (array_intersect_key($before[$id], $left) === []) {
                    $order[] = $program;
                    unset($left[$id]);

                    break;
                }
            }
        } while ($count > count($left));
        $this->circle = array_values(array_filter($left, fn (Unit $one) => $this->reaches($one->id, $one->id)));
        $this->order = [...$order, ...array_values($left)];
        $late = [];
        foreach ($programs as $id => $program) {
            foreach ($before[$id] as $other => $_) {
                $turn = $programs[$other]->start;
                if ($program->start !== null && ! $programs[$other]->atLogin && ($turn === null || $turn > $program->start)) {
                    $late[] = [$program, $programs[$other]];
                }
            }
        }
        $this->late = $late;
    }

    /**
     * When each is started at the earliest, and when it is ready: at once where it needs nothing, else when all that it needs is ready.
     *
     * @return array<string, array{int, int}> seconds from the first start, by program; those in a circle as if nothing were needed
     */
    public function times(): array
    {
        $times = [];
        foreach ($this->order as $program) {
            $from = 0;
            foreach ($this->before[$program->id] as $other => $_) {
                $from = max($from, $times[$other][1] ?? 0);
            }
            $times[$program->id] = [$from, $from + ($program->readyS ?? 0)];
        }

        return $times;
    }

    /** A virtual cable is a driver: it is there without being started. */
    private function isStarted(SignalGraph $graph, Unit $program): bool
    {
        return $graph->rig->modelOf($program)->family !== Family::VirtualCable;
    }

    /** Whether a program has to wait for another, by whatever is between them. */
    private function reaches(string $from, string $to): bool
    {
        $open = array_keys($this->before[$from]);
        $seen = [];
        while ($open !== []) {
            $at = array_pop($open);
            if ((string) $at === $to) {
                return true;
            }
            if (! isset($seen[$at])) {
                $seen[$at] = true;
                array_push($open, ...array_keys($this->before[$at] ?? []));
            }
        }

        return false;
    }
}

<?php

declare(strict_types=1);

namespace HiddenWire\Core\Signal;

/** Finds the loops of a graph: its strongly connected parts by channel (Tarjan's method, without recursion), and the strongest way round each. */
final class LoopFinder
{
    /** Steps spent on looking for the strongest way round one loop; beyond it the strongest found so far is shown. */
    private const STEPS = 20000;

    public function __construct(private readonly SignalGraph $graph)
    {
    }

    /** @return list<Loop> */
    public function loops(): array
    {
        $after = $this->graph->channelsAfter();
        $index = [];
        $low = [];
        $onStack = [];
        $stack = [];
        $counter = 0;
        /** @var list<array<int, true>> $loops */
        $loops = [];
        foreach (array_keys($after) as $root) {
            if (isset($index[$root])) {
                continue;
            }
            $index[$root] = $low[$root] = $counter++;
            $stack[] = $root;
            $onStack[$root] = true;
            $calls = [[$root, 0]];
            while ($calls !== []) {
                $top = count($calls) - 1;
                [$channel, $next] = $calls[$top];
                $other = $after[$channel][$next] ?? null;
                if ($other !== null) {
                    $calls[$top][1]++;
                    if (! isset($index[$other])) {
                        $index[$other] = $low[$other] = $counter++;
                        $stack[] = $other;
                        $onStack[$other] = true;
                        $calls[] = [$other, 0];
                    } elseif (isset($onStack[$other])) {
                        $low[$channel] = min($low[$channel], $index[$other]);
                    }

                    continue;
                }
                array_pop($calls);
                if ($calls !== []) {
                    $parent = $calls[$top - 1][0];
                    $low[$parent] = min($low[$parent], $low[$channel]);
                }
                if ($low[$channel] === $index[$channel]) {
                    /** @var array<int, true> $part */
                    $part = [];
                    do {
                        $member = (int) array_pop($stack);
                        unset($onStack[$member]);
                        $part[$member] = true;
                    } while ($member !== $channel);
                    if (count($part) > 1) {
                        $loops[] = $part;
                    }
                }
            }
        }

        return array_values(array_filter(array_map(fn (array $part): ?Loop => $this->strongestWayRound($part), $loops)));
    }

    /** @param  array<int, true>  $part */
    private function strongestWayRound(array $part): ?Loop
    {
        $edges = [];
        $nodeOf = [];
        foreach ($this->graph->first as $node => $first) {
            for ($channel = $first; $channel < $first + $this->graph->width[$node]; $channel++) {
                if (isset($part[$channel])) {
                    $nodeOf[$channel] = $node;
                }
            }
        }
        foreach ($nodeOf as $channel => $node) {
            foreach ($this->graph->leaving[$node] as $id) {
                $link = $this->graph->links[$id];
                foreach ($link->map as [$a, $b, $factor]) {
                    $to = $this->graph->first[$link->to] + $b;
                    if ($channel === $this->graph->first[$node] + $a && isset($part[$to])) {
                        $edges[$channel][] = [$to, $id, $link->gainDb + 20 * log10(abs($factor))];
                    }
                }
            }
        }
        // Every way round passes its lowest channel: walk from each channel through higher ones back to it.
        $best = null;
        $steps = 0;
        ksort($edges);
        foreach (array_keys($edges) as $start) {
            $path = [];
            $onPath = [$start => true];
            $calls = [[$start, 0]];
            while ($calls !== [] && $steps++ < self::STEPS) {
                $top = count($calls) - 1;
                [$channel, $next] = $calls[$top];
                $edge = $edges[$channel][$next] ?? null;
                if ($edge === null) {
                    array_pop($calls);
                    array_pop($path);
                    unset($onPath[$channel]);

                    continue;
                }
                $calls[$top][1]++;
                [$to] = $edge;
                if ($to === $start) {
                    $round = [...$path, $edge];
                    $gain = array_sum(array_column($round, 2));
                    if ($best === null || $gain > $best[0]) {
                        $best = [$gain, $round];
                    }
                } elseif ($to > $start && ! isset($onPath[$to])) {
                    $onPath[$to] = true;
                    $path[] = $edge;
                    $calls[] = [$to, 0];
                }
            }
        }
        if ($best === null) {
            return null;
        }
        $trail = Trail::empty();
        foreach ($best[1] as [, $id, $gain]) {
            $trail = $trail->along($this->graph->links[$id], $gain);
        }
        $hops = $trail->hops();
        assert($hops !== []);

        return new Loop($hops, $trail->level, $trail->time, $part);
    }
}

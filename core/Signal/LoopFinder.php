<?php

declare(strict_types=1);

namespace HiddenWire\Core\Signal;

use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Rig\AirRef;
use HiddenWire\Core\Rig\CableRef;
use HiddenWire\Core\Rig\DeviceRef;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\RouteRef;
use HiddenWire\Core\Rig\UnitRef;

/**
 * Lists the loops of a graph: each strongly connected part with its gain, its elements, and the strongest way round it. Left and right of
 * one loop are one.
 */
final class LoopFinder
{
    /** Steps spent on finding the strongest way round one part; it is for show, the gain is that of the whole part. */
    private const STEPS = 3000;

    public function __construct(
        private readonly SignalGraph $graph,
        private readonly ChannelGraph $channels,
        private readonly LoopGains $gains,
    ) {
    }

    /** @return list<Loop> the loudest first */
    public function loops(): array
    {
        /** @var array<string, array{Decibels, int}> $parts by what they are made of: the loudest */
        $parts = [];
        $elements = [];
        foreach (array_keys($this->channels->parts) as $part) {
            $gain = $this->gains->of($part)->decibels();
            if ($gain === null) {
                continue;
            }
            $made = $this->elements($part);
            $name = implode(' ', $made);
            if (! isset($parts[$name]) || $parts[$name][0]->isBelow($gain)) {
                $parts[$name] = [$gain, $part];
                $elements[$name] = $made;
            }
        }
        $loops = [];
        foreach ($parts as $name => [$gain, $part]) {
            $hops = $this->strongestRound($part)->hops();
            if ($hops !== []) {
                $isBound = $this->gains->of($part)->isBound;
                $loops[] = new Loop($hops, $gain, $hops[count($hops) - 1]->time, $isBound, $elements[$name], $this->cut($part));
            }
        }
        usort($loops, fn (Loop $a, Loop $b) => $b->gain->value() <=> $a->gain->value());

        return $loops;
    }

    /** @return list<string> */
    private function elements(int $part): array
    {
        $elements = [];
        foreach ($this->channels->parts[$part] as $channel) {
            foreach ($this->inside($channel, $part) as $edge) {
                $elements[(string) $this->graph->links[$this->channels->link[$edge]]->at] = true;
            }
        }

        return array_map(strval(...), array_keys($elements));
    }

    /** @return non-empty-list<PointRef|CableRef|DeviceRef|UnitRef> where a part is cut; left and right of an element once */
    private function cut(int $part): array
    {
        $cut = [];
        foreach ($this->gains->cut($part) as $channel) {
            $at = null;
            foreach ([[$this->channels->entering[$channel], true], [$this->channels->leaving[$channel], false]] as [$edges, $isEntered]) {
                foreach ($edges as $edge) {
                    $link = $this->graph->links[$this->channels->link[$edge]];
                    if (($this->channels->partOf[$this->channels->from[$edge]] ?? null) === $part
                        && ($this->channels->partOf[$this->channels->to[$edge]] ?? null) === $part
                        && ($at === null || $this->gains->isTurnable($link))) {
                        $at = $this->near($link, $isEntered);
                    }
                }
            }
            if ($at !== null) {
                $cut[(string) $at] = $at;
            }
        }

        return array_values($cut) ?: throw new \LogicException("Part {$part} is no circle.");
    }

    /** The point where a link ends, or begins; the link's own element where that is no point's. */
    private function near(Link $link, bool $isEnd): PointRef|CableRef|DeviceRef|UnitRef
    {
        $at = $link->at;
        if ($at instanceof RouteRef) {
            $route = $this->graph->rig->modelOf($at->unit)->routes[$at->key];

            return new PointRef($at->unit, $isEnd ? $route->to : $route->from);
        }

        return $at instanceof AirRef ? ($isEnd ? $at->to : $at->from) : $at;
    }

    /** @return \Generator<int, int> edges that stay in the part */
    private function inside(int $channel, int $part): \Generator
    {
        foreach ($this->channels->leaving[$channel] as $edge) {
            if (($this->channels->partOf[$this->channels->to[$edge]] ?? null) === $part) {
                yield $edge;
            }
        }
    }

    /** The strongest way round that is found from the channels with the strongest edges, the most promising steps first. */
    private function strongestRound(int $part): Trail
    {
        $starts = [];
        foreach ($this->channels->parts[$part] as $channel) {
            foreach ($this->inside($channel, $part) as $edge) {
                $starts[$channel] = max($starts[$channel] ?? 0.0, abs($this->channels->amplitude[$edge]));
            }
        }
        arsort($starts);
        $best = null;
        foreach (array_slice(array_keys($starts), 0, 4) as $start) {
            $round = $this->roundFrom($start, $part);
            $best = $round !== null && ($best === null || $round[0] > $best[0]) ? $round : $best;
        }
        $trail = Trail::empty();
        foreach ($best[1] ?? [] as $edge) {
            $trail = $trail->along($this->graph->links[$this->channels->link[$edge]], 20 * log10(abs($this->channels->amplitude[$edge])));
        }

        return $trail;
    }

    /** @return array{float, list<int>}|null gain as a ratio, and the edges */
    private function roundFrom(int $start, int $part): ?array
    {
        /** @var \SplPriorityQueue<array{float, int}, array{int, float, list<int>, array<int, true>}> $queue */
        $queue = new \SplPriorityQueue;
        $queue->insert([$start, 1.0, [], [$start => true]], [1.0, 0]);
        $best = null;
        for ($step = 0; ! $queue->isEmpty() && $step < self::STEPS; $step++) {
            /** @var array{int, float, list<int>, array<int, true>} $top */
            $top = $queue->extract();
            [$channel, $gain, $edges, $passed] = $top;
            foreach ($this->inside($channel, $part) as $edge) {
                $to = $this->channels->to[$edge];
                $next = $gain * abs($this->channels->amplitude[$edge]);
                if ($to === $start) {
                    $best = $best === null || $next > $best[0] ? [$next, [...$edges, $edge]] : $best;
                } elseif (! isset($passed[$to])) {
                    // Of equally strong beginnings the longer is the nearer to coming round.
                    $queue->insert([$to, $next, [...$edges, $edge], $passed + [$to => true]], [$next, count($edges)]);
                }
            }
        }

        return $best;
    }
}

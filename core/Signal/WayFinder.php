<?php

declare(strict_types=1);

namespace HiddenWire\Core\Signal;

use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Quantity\Milliseconds;
use HiddenWire\Core\Rig\Origin;
use HiddenWire\Core\Rig\PointRef;

/**
 * Finds the strongest ways from a source to an ear: the explanation of what the sum says. A way is a sequence of elements; its channels
 * travel together, each with an amplitude for each part of the source, so that what cancels within it is gone. It may pass a point twice
 * by different channels, but no channel twice. The most promising step is taken first, judged by the best that can still come of it, so
 * that the strongest ways come first, whatever others there are.
 */
final class WayFinder
{
    /** Ways that are listed; real rigs have fewer than five. */
    public const MOST = 64;

    /** Steps taken for one pair, each channel of a link counted; a way of a real rig has about thirty. */
    public const STEPS = 100_000;

    /** Steps taken for all pairs of one hearing; beyond them ways are not listed any more. The sum at the ear does not need them. */
    public const ALL_STEPS = 600_000;

    /** Amplitudes below this are what cancelling leaves of rounding. */
    private const NOTHING = 1e-9;

    /** Best amplitudes that are cached, of all ears together. */
    private const KEPT = 500_000;

    private int $kept = 0;

    private int $allSteps = 0;

    /** @var array<string, array<int, float>> the best amplitude from each channel to an ear, by ear */
    private array $best = [];

    public function __construct(private readonly SignalGraph $graph, private readonly ChannelGraph $channels)
    {
    }

    /** How many steps were taken so far, each channel of a link counted. */
    public function steps(): int
    {
        return $this->allSteps;
    }

    /**
     * @param  array<array-key, Origin>  $origins
     * @param  list<PointRef>  $ears
     * @param  float  $down  ways this far below the source and more are left out, in dB
     */
    public function ways(array $origins, array $ears, float $down): Ways
    {
        /** @var \SplPriorityQueue<float, array{Way, float}> $queue */
        $queue = new \SplPriorityQueue;
        foreach ($ears as $ear) {
            $best = $this->best($ear);
            foreach ($origins as $origin) {
                $this->begin($queue, $origin, $ear, $best);
            }
        }
        $least = 10 ** (-$down / 20) * (1 - 1e-9);
        $arrivals = [];
        $isCapped = false;
        $steps = 0;
        while (! $queue->isEmpty()) {
            /** @var array{Way, float} $top */
            $top = $queue->extract();
            [$way, $promise] = $top;
            if ($promise < $least) {
                break;
            }
            if (count($arrivals) >= self::MOST || $steps > self::STEPS || $this->allSteps > self::ALL_STEPS) {
                $isCapped = true;

                break;
            }
            while ($way !== null) {
                $arrival = $way->node === $way->target ? $this->arrival($way, $least) : null;
                if ($arrival !== null) {
                    $arrivals[] = $arrival;
                }
                $onwards = [];
                foreach ($this->graph->leaving[$way->node] as $id) {
                    $steps += count($this->graph->links[$id]->map);
                    $next = $this->along($way, $this->graph->links[$id]);
                    if ($next !== null) {
                        $onwards[] = $next;
                    }
                }
                // Where there is one step only, it is taken at once, as long as it is not less than what else waits.
                /** @var array{Way, float}|null $waiting */
                $waiting = $queue->isEmpty() ? null : $queue->top();
                $isOnly = count($onwards) === 1 && $onwards[0][1] >= $least && $steps <= self::STEPS
                    && ($waiting === null || $onwards[0][1] > $waiting[1]);
                $way = $isOnly ? $onwards[0][0] : null;
                foreach ($isOnly ? [] : $onwards as $next) {
                    $queue->insert($next, $next[1]);
                }
            }
        }
        $this->allSteps += $steps;
        usort(
            $arrivals,
            fn (Arrival $a, Arrival $b) => [$b->gain->value(), $a->delay->value()] <=> [$a->gain->value(), $b->delay->value()],
        );

        return new Ways($arrivals, $isCapped);
    }

    /**
     * @param  \SplPriorityQueue<float, array{Way, float}>  $queue
     * @param  array<int, float>  $best
     */
    private function begin(\SplPriorityQueue $queue, Origin $origin, PointRef $ear, array $best): void
    {
        $node = $this->graph->entry($origin->at);
        $parts = $this->graph->width[$node];
        $first = $this->graph->first[$node];
        $level = 10 ** ($origin->db->value() / 20);
        $signal = $passed = [];
        $promise = 0.0;
        for ($channel = 0; $channel < $parts; $channel++) {
            $signal[$channel * $parts + $channel] = $level;
            $passed[$channel * $parts + $channel] = isset($this->channels->partOf[$first + $channel]) ? [$first + $channel => true] : [];
            $promise = max($promise, $level * ($best[$first + $channel] ?? 0.0));
        }
        if ($promise > 0) {
            $trail = Trail::fromOrigin(
                $origin->at,
                $this->graph->rig->units[$origin->at->unit]->name,
                $origin->db,
                $origin->delay ?? Milliseconds::zero(),
            );
            $queue->insert(
                [
                    new Way(
                        $node,
                        $signal,
                        $level,
                        $passed,
                        $trail,
                        $origin->db->isBelow(Decibels::zero()),
                        0,
                        $parts,
                        $ear,
                        $this->graph->exit($ear),
                        $best,
                    ),
                    $promise,
                ],
                $promise,
            );
        }
    }

    /** @return array{Way, float}|null the way with one link more, and the best that can come of it */
    private function along(Way $way, Link $link): ?array
    {
        $first = $this->graph->first[$link->to];
        $gain = $link->gainDb === 0.0 ? 1.0 : 10 ** ($link->gainDb / 20);
        $next = $passed = [];
        $leaving = 0;
        foreach ($link->map as [$a, $b, $factor]) {
            $channel = $first + $b;
            if (! isset($way->best[$channel])) {
                continue;
            }
            for ($part = 0; $part < $way->parts; $part++) {
                $amplitude = $way->signal[$a * $way->parts + $part] ?? 0.0;
                if ($amplitude === 0.0) {
                    continue;
                }
                $before = $way->passed[$a * $way->parts + $part] ?? [];
                if (isset($before[$channel])) {
                    continue;
                }
                $slot = $b * $way->parts + $part;
                $leaving |= $a < 62 ? 1 << $a : 0;
                $next[$slot] = ($next[$slot] ?? 0.0) + $amplitude * $factor * $gain;
                if ($before !== [] || isset($this->channels->partOf[$channel])) {
                    $passed[$slot] = ($passed[$slot] ?? []) + $before + (isset($this->channels->partOf[$channel]) ? [$channel => true]
                        : []);
                }
            }
        }
        $most = 0.0;
        $promises = [];
        foreach ($next as $slot => $amplitude) {
            if (abs($amplitude) < self::NOTHING) {
                unset($next[$slot], $passed[$slot]);
            } else {
                $most = max($most, abs($amplitude));
                // Both channels of a pair may be joined again further on: what can come of each adds.
                $part = $slot % $way->parts;
                $promises[$part] = ($promises[$part] ?? 0.0) + abs($amplitude) * $way->best[$first + intdiv($slot, $way->parts)];
            }
        }
        $promise = $promises === [] ? 0.0 : max($promises);
        if ($promise === 0.0) {
            return null;
        }
        $own = $most === $way->strongest * $gain ? $link->gainDb : 20 * log10($most / $way->strongest);
        $clocks = $link->clock === null
            ? $way->clocks
            : $this->channels->clocks->with($way->clocks, $this->channels->clocks->number($link->clock));

        return [
            new Way(
                $link->to,
                $next,
                $most,
                $passed,
                $way->trail->along($link, $own, $leaving),
                $way->isBleed || $link->kind === HopKind::Air,
                $clocks,
                $way->parts,
                $way->ear,
                $way->target,
                $way->best,
            ),
            $promise,
        ];
    }

    private function arrival(Way $way, float $least): ?Arrival
    {
        $hops = $way->strongest < $least ? [] : $way->trail->hops();
        if ($hops === []) {
            return null;
        }
        $last = $hops[count($hops) - 1];
        $levels = [];
        $turned = false;
        foreach ($way->signal as $slot => $amplitude) {
            $levels[intdiv($slot, $way->parts)][$slot % $way->parts] = 20 * log10(abs($amplitude));
            $turned = $turned || ($amplitude < 0 && abs($amplitude) === $way->strongest);
        }

        return new Arrival(
            $way->ear,
            $hops,
            $last->level,
            $last->time,
            $levels,
            $this->graph->width[$way->node],
            $way->isBleed,
            $way->clocks,
            $turned,
        );
    }

    /**
     * The most that can come of a sound at each channel from which an ear is reached: the largest product of gains on a way there, the
     * channels of one link together. Inside a loop that grows with every round it is what as many rounds give as the loop has channels.
     *
     * @return array<int, float>
     */
    private function best(PointRef $ear): array
    {
        if (! isset($this->best[(string) $ear])) {
            if ($this->kept > self::KEPT) {
                $this->best = [];
                $this->kept = 0;
            }
            $this->best[(string) $ear] = $this->bestTo($this->graph->channelsOf($this->graph->exit($ear)));
            $this->kept += count($this->best[(string) $ear]);
        }

        return $this->best[(string) $ear];
    }

    /**
     * @param  list<int>  $ears
     * @return array<int, float>
     */
    private function bestTo(array $ears): array
    {
        $c = $this->channels;
        $best = array_fill_keys($ears, 1.0);
        $places = array_map(fn (int $channel) => $c->place[$channel], array_keys($c->reach($ears, backward: true)));
        rsort($places);
        $done = [];
        foreach ($places as $place) {
            $channel = $c->channelAt[$place];
            $part = $c->partOf[$channel] ?? null;
            $here = $part === null ? [$channel] : $c->parts[$part];
            if ($part !== null && isset($done[$part])) {
                continue;
            }
            if ($part !== null) {
                $done[$part] = true;
            }
            $changed = true;
            for ($round = 0; $changed && $round <= count($here); $round++) {
                $changed = false;
                foreach ($here as $one) {
                    // The edges of one link stand together.
                    $link = null;
                    $through = 0.0;
                    foreach ($c->leaving[$one] as $edge) {
                        $through = ($c->link[$edge] === $link ? $through : 0.0) + abs($c->amplitude[$edge]) * ($best[$c->to[$edge]] ?? 0.0);
                        $link = $c->link[$edge];
                        if ($through > ($best[$one] ?? 0.0) && $through < 1e12) {
                            $best[$one] = $through;
                            $changed = $part !== null;
                        }
                    }
                }
            }
        }

        return $best;
    }
}

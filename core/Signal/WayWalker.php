<?php

declare(strict_types=1);

namespace HiddenWire\Core\Signal;

use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Rig\Origin;
use HiddenWire\Core\Rig\PointRef;

/**
 * Walks every way from an origin to an ear. A way is a sequence of elements; its channels travel together, each with an amplitude for each part of the source (left,
 * right, …). Only steps that can still reach the ear are taken, so that the work is bounded by the number of ways, and that is capped.
 */
final class WayWalker
{
    /** Ways of one source to one listener are counted and listed up to this number; real rigs have fewer than five. */
    public const CAP = 64;

    /** What counts as heard: an arrival within this of the source's own level. 60 dB below speech at 65 dB SPL lies at the threshold of hearing. */
    public const HEARD_DB = 60.0;

    /** Ways that end in nothing (cancelled, or blocked by their own beginning) cost steps too; past this many a pair is given up as capped. */
    private const STEPS = 20000;

    /** Amplitudes below this are what cancelling leaves of rounding. */
    private const NOTHING = 1e-9;

    /** @var list<Arrival> */
    private array $arrivals = [];

    private int $counted = 0;

    private int $steps = 0;

    public bool $isCapped = false;

    /** @var array<int, true> channels that are on the present way */
    private array $passed = [];

    private PointRef $ear;

    private int $target;

    /** @var array<int, true> */
    private array $towardsEar;

    private bool $isWeakOrigin;

    private int $parts;

    /**
     * @param  array<int, int>  $loopOf  number of the loop by channel
     * @param  list<Loop>  $loops
     */
    public function __construct(private readonly SignalGraph $graph, private readonly array $loopOf, private readonly array $loops)
    {
    }

    /**
     * Adds the ways of one origin to one ear.
     *
     * @param  array<int, true>  $towardsEar  the channels from which the ear is reached
     */
    public function walk(Origin $origin, PointRef $ear, array $towardsEar): void
    {
        $this->ear = $ear;
        $this->target = $this->graph->exit($ear);
        $this->towardsEar = $towardsEar;
        $this->isWeakOrigin = $origin->db->isBelow(Decibels::zero());
        $node = $this->graph->entry($origin->at);
        $this->parts = $this->graph->width[$node];
        $signal = [];
        for ($channel = 0; $channel < $this->parts; $channel++) {
            $signal[$channel * $this->parts + $channel] = 1.0;
        }
        $this->passed = array_fill_keys($this->graph->channelsOf($node), true);
        $this->step($node, $signal, 1.0, Trail::fromOrigin((string) $origin->at, $this->graph->rig->units[$origin->at->unit]->name, $origin->db), false, []);
    }

    /** @return list<Arrival> strongest first, then earliest */
    public function arrivals(): array
    {
        usort($this->arrivals, fn (Arrival $a, Arrival $b) => [$b->gain->value(), $a->delay->value()] <=> [$a->gain->value(), $b->delay->value()]);

        return $this->arrivals;
    }

    /**
     * @param  array<int, float>  $signal  amplitude by (channel of the node × parts + part)
     * @param  float  $strongest  the largest of them
     * @param  array<int, true>  $loops
     */
    private function step(int $node, array $signal, float $strongest, Trail $trail, bool $isAir, array $loops): void
    {
        if ($node === $this->target) {
            $this->arrive($signal, $strongest, $trail, $isAir, $loops);
        }
        foreach ($this->graph->leaving[$node] as $id) {
            if ($this->counted >= self::CAP || ++$this->steps > self::STEPS) {
                $this->isCapped = true;

                return;
            }
            $link = $this->graph->links[$id];
            $first = $this->graph->first[$link->to];
            $next = [];
            $leaving = 0;
            foreach ($link->map as [$a, $b, $factor]) {
                if (isset($this->passed[$first + $b]) || ! isset($this->towardsEar[$first + $b])) {
                    continue;
                }
                for ($part = 0; $part < $this->parts; $part++) {
                    $amplitude = $signal[$a * $this->parts + $part] ?? 0.0;
                    if ($amplitude !== 0.0) {
                        $leaving |= 1 << $a;
                        $next[$b * $this->parts + $part] = ($next[$b * $this->parts + $part] ?? 0.0) + $amplitude * $factor;
                    }
                }
            }
            $most = 0.0;
            foreach ($next as $key => $amplitude) {
                if (abs($amplitude) < self::NOTHING) {
                    unset($next[$key]);
                } else {
                    $most = max($most, abs($amplitude));
                }
            }
            if ($next === []) {
                continue;
            }
            $entered = [];
            $inLoops = $loops;
            foreach ($next as $key => $_) {
                $channel = $first + intdiv($key, $this->parts);
                $entered[$channel] = true;
                if (isset($this->loopOf[$channel])) {
                    $inLoops[$this->loopOf[$channel]] = true;
                }
            }
            foreach ($entered as $channel => $_) {
                $this->passed[$channel] = true;
            }
            if (count($inLoops) === 0 || $this->canStillLeave(array_keys($entered), $link->to)) {
                $gain = $link->gainDb + ($most === $strongest ? 0.0 : 20 * log10($most / $strongest));
                $this->step($link->to, $next, $most, $trail->along($link, $gain, $leaving), $isAir || $link->kind === HopKind::Air, $inLoops);
            }
            foreach ($entered as $channel => $_) {
                unset($this->passed[$channel]);
            }
        }
    }

    /**
     * Inside a loop the beginning of a way can block its own end. Whether the ear, or a channel outside of the loop from which the ear is reached, can still be come to
     * without passing a channel twice.
     *
     * @param  list<int>  $channels
     */
    private function canStillLeave(array $channels, int $node): bool
    {
        if ($node === $this->target) {
            return true;
        }
        $after = $this->graph->channelsAfter();
        $ears = array_fill_keys($this->graph->channelsOf($this->target), true);
        $seen = [];
        while ($channels !== []) {
            $channel = array_pop($channels);
            $loop = $this->loopOf[$channel] ?? null;
            if ($loop === null) {
                return true;
            }
            foreach ($after[$channel] ?? [] as $other) {
                if (isset($seen[$other]) || isset($this->passed[$other]) || ! isset($this->towardsEar[$other])) {
                    continue;
                }
                if (isset($ears[$other]) || ($this->loopOf[$other] ?? null) !== $loop) {
                    return true;
                }
                $seen[$other] = true;
                $channels[] = $other;
            }
        }

        return false;
    }

    /**
     * @param  array<int, float>  $signal
     * @param  array<int, true>  $loops
     */
    private function arrive(array $signal, float $strongest, Trail $trail, bool $isAir, array $loops): void
    {
        $this->counted++;
        if ($trail->level->isBelow(Decibels::of(-self::HEARD_DB))) {
            return;
        }
        $levels = [];
        foreach ($signal as $key => $amplitude) {
            $levels[intdiv($key, $this->parts)][$key % $this->parts] = $trail->level->value() + 20 * log10(abs($amplitude) / $strongest);
        }
        $hops = $trail->hops();
        assert($hops !== []);
        $audible = array_filter(array_keys($loops), fn (int $loop) => $this->loops[$loop]->isAudible());
        $this->arrivals[] = new Arrival($this->ear, $hops, $trail->level, $trail->time, $levels, $this->graph->width[$this->target],
            $this->isWeakOrigin || $isAir, array_values($audible));
    }
}

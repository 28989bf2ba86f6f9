<?php

declare(strict_types=1);

namespace HiddenWire\Core\Signal;

use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Rig\Listener;
use HiddenWire\Core\Rig\Origin;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\Source;
use HiddenWire\Core\Rig\Want;
use HiddenWire\Core\Rig\Wish;

/** Who hears what, by which ways, in one situation: an answer for every source and listener. */
final class Hearing
{
    /** A side this much below the other counts as silent: 20 dB is what a listener takes for "only in one ear". */
    public const ONE_SIDED_DB = 20.0;

    /** @var list<Loop> */
    public readonly array $loops;

    /** @var array<string, array<string, HeardPair>> by source, by listener */
    private array $pairs = [];

    public function __construct(public readonly SignalGraph $graph)
    {
        $this->loops = (new LoopFinder($graph))->loops();
        $loopOf = [];
        foreach ($this->loops as $number => $loop) {
            $loopOf += array_fill_keys(array_keys($loop->channels), $number);
        }
        $rig = $graph->rig;
        $wishes = $this->wishes();
        /** @var array<string, list<array{PointRef, array<int, true>}>> $ears by listener: each ear with the channels from which it is reached */
        $ears = [];
        foreach ($rig->listeners as $listener) {
            $ears[$listener->id] = array_map(fn (PointRef $ear) => [$ear, $graph->reach($graph->channelsOf($graph->exit($ear)), backward: true)], $listener->at);
        }
        foreach ($rig->sources as $source) {
            $starts = array_map(fn (Origin $origin) => $graph->channelsOf($graph->entry($origin->at)), $source->origins);
            $wanted = $wishes[$source->id] ?? [];
            $row = [];
            foreach ($rig->listeners as $listener) {
                $walker = null;
                foreach ($starts as $o => $channels) {
                    foreach ($ears[$listener->id] as [$ear, $leads]) {
                        foreach ($channels as $channel) {
                            if (isset($leads[$channel])) {
                                $walker ??= new WayWalker($graph, $loopOf, $this->loops);
                                $walker->walk($source->origins[$o], $ear, $leads);

                                break;
                            }
                        }
                    }
                }
                $wish = $wanted[$listener->id] ?? null;
                $row[$listener->id] = $walker === null
                    ? new HeardPair($source, $listener, $wish, $this->verdictOfSilence($wish), [], false, null)
                    : $this->judge($source, $listener, $wish, $walker);
            }
            $this->pairs[$source->id] = $row;
        }
    }

    /** @throws \OutOfBoundsException when the rig has no such source or listener */
    public function pair(string $source, string $listener): HeardPair
    {
        return $this->pairs[$source][$listener] ?? throw new \OutOfBoundsException("There is no source \"{$source}\" or no listener \"{$listener}\".");
    }

    /** @return \Generator<int, HeardPair> sources in the rig's order, for each the listeners in theirs */
    public function all(): \Generator
    {
        foreach ($this->pairs as $pairs) {
            yield from array_values($pairs);
        }
    }

    /** What is worth keeping of it to tell later what has changed. */
    public function note(): HearingNote
    {
        $pairs = [];
        foreach ($this->pairs as $source => $row) {
            foreach ($row as $listener => $pair) {
                $pairs[$source][$listener] = [$pair->verdict->value, $pair->arrivals === [] ? null : $pair->arrivals[0]->gain->value()];
            }
        }

        return new HearingNote($pairs);
    }

    /** @return array<string, int> how many pairs have each verdict, by its value */
    public function counts(): array
    {
        $counts = array_fill_keys(array_map(fn (Verdict $verdict) => $verdict->value, Verdict::cases()), 0);
        foreach ($this->all() as $pair) {
            $counts[$pair->verdict->value]++;
        }

        return $counts;
    }

    /**
     * The wishes that hold in this situation: one that names it goes before one that holds in all.
     *
     * @return array<string, array<string, Wish>>
     */
    private function wishes(): array
    {
        $situation = $this->graph->state->situation->id;
        $wishes = [];
        foreach ($this->graph->rig->wishes as $wish) {
            if (in_array($situation, $wish->situations, true)) {
                $wishes[$wish->source][$wish->listener] = $wish;
            } elseif ($wish->situations === []) {
                $wishes[$wish->source][$wish->listener] ??= $wish;
            }
        }

        return $wishes;
    }

    private function verdictOfSilence(?Wish $wish): Verdict
    {
        return match ($wish?->want) {
            null => Verdict::Silent,
            Want::Must => Verdict::Missing,
            default => Verdict::Ok,
        };
    }

    private function judge(Source $source, Listener $listener, ?Wish $wish, WayWalker $walker): HeardPair
    {
        $arrivals = $walker->arrivals();
        if ($arrivals === []) {
            return new HeardPair($source, $listener, $wish, $this->verdictOfSilence($wish), [], $walker->isCapped, null);
        }
        $doubling = count($arrivals) > 1 ? $this->doubling($arrivals) : null;
        $verdict = match (true) {
            $wish === null => Verdict::Unwished,
            $wish->want === Want::MustNot => Verdict::Leak,
            $this->passesLoop($arrivals) => Verdict::Loop,
            $doubling !== null => Verdict::Doubled,
            $this->isOneSided($arrivals) => Verdict::OneSided,
            default => Verdict::Ok,
        };

        return new HeardPair($source, $listener, $wish, $verdict, $arrivals, $walker->isCapped, $doubling);
    }

    /** @param  list<Arrival>  $arrivals */
    private function passesLoop(array $arrivals): bool
    {
        foreach ($arrivals as $arrival) {
            if ($arrival->loops !== []) {
                return true;
            }
        }

        return false;
    }

    /**
     * The most noticeable doubling. Arrivals double where they bring the same part of the source to the same channel of an ear; the two legs of one sound (left by one
     * cable, right by another) do not, even where they are joined into one again. Two ears of one listener (a headset and the room's speakers) are heard together, whatever their channels.
     *
     * @param  list<Arrival>  $arrivals  strongest first
     */
    private function doubling(array $arrivals): ?Doubling
    {
        /** @var array<string, array{float, Arrival}> $strongest by ear, channel and part */
        $strongest = [];
        foreach ($arrivals as $arrival) {
            foreach ($arrival->levels as $channel => $parts) {
                foreach ($parts as $part => $level) {
                    $slot = "{$arrival->ear} {$channel} {$part}";
                    if (! isset($strongest[$slot]) || $level > $strongest[$slot][0]) {
                        $strongest[$slot] = [$level, $arrival];
                    }
                }
            }
        }
        $worst = null;
        foreach ($arrivals as $arrival) {
            $meetings = [];
            foreach ($arrival->levels as $channel => $parts) {
                foreach ($parts as $part => $level) {
                    [$most, $first] = $strongest["{$arrival->ear} {$channel} {$part}"];
                    $meetings[] = [$first, $most - $level];
                }
            }
            if ((string) $arrival->ear !== (string) $arrivals[0]->ear) {
                $meetings[] = [$arrivals[0], $arrivals[0]->gain->minus($arrival->gain)->value()];
            }
            foreach ($meetings as [$first, $difference]) {
                $apart = $first->delay->apartFrom($arrival->delay);
                if ($first !== $arrival && ! $first->isLegBeside($arrival) && $difference < Doubling::countsWithin($apart) && ($worst === null || $difference < $worst->difference->value())) {
                    $worst = new Doubling($first, $arrival, Decibels::of($difference), $apart);
                }
            }
        }

        return $worst;
    }

    /** @param  list<Arrival>  $arrivals */
    private function isOneSided(array $arrivals): bool
    {
        $sides = [];
        foreach ($arrivals as $arrival) {
            if ($arrival->earChannels !== 2) {
                return false;
            }
            foreach ($arrival->levels as $channel => $parts) {
                $sides[$channel] = max($sides[$channel] ?? -INF, ...array_values($parts));
            }
        }

        return abs(($sides[0] ?? -1000) - ($sides[1] ?? -1000)) > self::ONE_SIDED_DB;
    }
}

<?php

declare(strict_types=1);

namespace HiddenWire\Core\Signal;

/**
 * The links that carry, taken apart by channel, and the order in which sound runs through them: strongly connected channels together,
 * whatever feeds a channel before it. Edges are numbered; each list holds the data of edge e at index e.
 */
final class ChannelGraph
{
    /** A tap's key counts microseconds in its lower bits (half a year of them) and the number of the set of clocks passed above. */
    public const CLOCKS_AT = 44;

    public const DELAY = (1 << self::CLOCKS_AT) - 1;

    /** @var list<list<int>> edges by the channel that they leave */
    public array $leaving;

    /** @var list<list<int>> edges by the channel that they come to */
    public array $entering;

    /** @var list<int> */
    public array $from = [];

    /** @var list<int> */
    public array $to = [];

    /** @var array<int, float> amplitude factor, with its polarity as the sign */
    public array $amplitude = [];

    /** @var array<int, int> the delay in microseconds */
    public array $shift = [];

    /** @var array<int, int> number of the clock that is passed; 0 for none */
    public array $clock = [];

    /** @var list<int> number of the link in the graph */
    public array $link = [];

    /** @var array<int, array{int, int}> the first edge of each link that carries, and how many it has */
    private array $edgesOf = [];

    /** @var list<int> place of each channel in the order in which sound runs */
    public array $place;

    /** @var list<int> channel by place */
    public array $channelAt;

    /** @var array<int, int> number of the strongly connected part, for the channels that are in one */
    public array $partOf = [];

    /** @var list<list<int>> channels of each strongly connected part */
    public array $parts = [];

    public readonly Clocks $clocks;

    public function __construct(SignalGraph $graph)
    {
        $this->clocks = new Clocks;
        $this->leaving = $this->entering = $graph->channels === 0 ? [] : array_fill(0, $graph->channels, []);
        $edge = 0;
        foreach ($graph->links as $id => $link) {
            if (! $link->carries()) {
                continue;
            }
            $gain = $link->gainDb === 0.0 ? 1.0 : 10 ** ($link->gainDb / 20);
            $shift = (int) round($link->delayMs * 1000);
            $clock = $link->clock === null ? 0 : $this->clocks->number($link->clock);
            $first = $graph->first[$link->from];
            $then = $graph->first[$link->to];
            $this->edgesOf[$id] = [$edge, count($link->map)];
            foreach ($link->map as [$a, $b, $factor]) {
                $this->leaving[$first + $a][] = $edge;
                $this->entering[$then + $b][] = $edge++;
                $this->from[] = $first + $a;
                $this->to[] = $then + $b;
                $this->amplitude[] = $gain * $factor;
                $this->shift[] = $shift;
                $this->clock[] = $clock;
                $this->link[] = $id;
            }
        }
        $this->sort($graph->channels);
    }

    /**
     * That of a graph with the same nodes and as many links, made from what is known of the other one. What only is louder or later is put
     * in; the order in which sound runs is found anew where a link that came runs against it, or one that went was part of a loop.
     */
    public static function after(self $before, SignalGraph $was, SignalGraph $is): self
    {
        $channels = clone $before;
        $isInOrder = true;
        foreach ($is->links as $id => $link) {
            $old = $was->links[$id];
            if ($old === $link) {
                continue;
            }
            if ($old->carries() && $link->carries() && $old->from === $link->from && $old->to === $link->to && $old->map === $link->map) {
                $channels->level($id, $link);

                continue;
            }
            $isInOrder = (! $old->carries() || $channels->remove($id)) && $isInOrder;
            $isInOrder = (! $link->carries() || $channels->add($is, $id, $link)) && $isInOrder;
        }
        if (! $isInOrder) {
            $channels->partOf = $channels->parts = [];
            $channels->sort($is->channels);
        }

        return $channels;
    }

    /** Whether the same channels lead to the same ones, by whatever gain. */
    public function isShapedLike(self $other): bool
    {
        return $this->leaving === $other->leaving && $this->to === $other->to;
    }

    private function level(int $id, Link $link): void
    {
        $gain = $link->gainDb === 0.0 ? 1.0 : 10 ** ($link->gainDb / 20);
        foreach ($link->map as $i => [, , $factor]) {
            $edge = $this->edgesOf[$id][0] + $i;
            $this->amplitude[$edge] = $gain * $factor;
            $this->shift[$edge] = (int) round($link->delayMs * 1000);
            $this->clock[$edge] = $link->clock === null ? 0 : $this->clocks->number($link->clock);
        }
    }

    /** @return bool whether the order and the parts still hold */
    private function remove(int $id): bool
    {
        $isKept = true;
        [$first, $count] = $this->edgesOf[$id];
        for ($edge = $first; $edge < $first + $count; $edge++) {
            [$from, $to] = [$this->from[$edge], $this->to[$edge]];
            $this->leaving[$from] = array_values(array_diff($this->leaving[$from], [$edge]));
            $this->entering[$to] = array_values(array_diff($this->entering[$to], [$edge]));
            $isKept = $isKept && (! isset($this->partOf[$from]) || $this->partOf[$from] !== ($this->partOf[$to] ?? null));
        }
        unset($this->edgesOf[$id]);

        return $isKept;
    }

    /** @return bool whether the order and the parts still hold */
    private function add(SignalGraph $graph, int $id, Link $link): bool
    {
        $isKept = true;
        [$first, $then] = [$graph->first[$link->from], $graph->first[$link->to]];
        $this->edgesOf[$id] = [count($this->from), count($link->map)];
        foreach ($link->map as [$a, $b]) {
            [$from, $to] = [$first + $a, $then + $b];
            $edge = count($this->from);
            $this->from[] = $from;
            $this->to[] = $to;
            $this->link[] = $id;
            $this->leaving[$from] = $this->inOrder([...$this->leaving[$from], $edge]);
            $this->entering[$to] = $this->inOrder([...$this->entering[$to], $edge]);
            $isWithin = isset($this->partOf[$from]) && $this->partOf[$from] === ($this->partOf[$to] ?? null);
            $isKept = $isKept && ($isWithin || $this->place[$from] < $this->place[$to]);
        }
        $this->level($id, $link);

        return $isKept;
    }

    /**
     * @param  list<int>  $edges
     * @return list<int> by their links, as if all had been there from the start
     */
    private function inOrder(array $edges): array
    {
        usort($edges, fn (int $a, int $b) => [$this->link[$a], $a] <=> [$this->link[$b], $b]);

        return $edges;
    }

    /**
     * Which channels a set of channels reaches, or is reached from.
     *
     * @param  list<int>  $start
     * @param  bool  $backward  against the direction of the sound
     * @return array<int, true> by channel, the start among them
     */
    public function reach(array $start, bool $backward = false): array
    {
        [$edges, $ends] = $backward ? [$this->entering, $this->from] : [$this->leaving, $this->to];
        $reached = array_fill_keys($start, true);
        while ($start !== []) {
            foreach ($edges[array_pop($start)] as $edge) {
                $other = $ends[$edge];
                if (! isset($reached[$other])) {
                    $reached[$other] = true;
                    $start[] = $other;
                }
            }
        }

        return $reached;
    }

    /** Tarjan's method, without recursion: it finishes parts in the reverse of the order in which sound runs. */
    private function sort(int $channels): void
    {
        $index = $low = $channels === 0 ? [] : array_fill(0, $channels, -1);
        $onStack = $stack = $finished = [];
        $counter = 0;
        for ($root = 0; $root < $channels; $root++) {
            if ($index[$root] >= 0) {
                continue;
            }
            $index[$root] = $low[$root] = $counter++;
            $stack[] = $root;
            $onStack[$root] = true;
            $calls = [$root];
            $next = [0];
            while ($calls !== []) {
                $top = count($calls) - 1;
                $channel = $calls[$top];
                $edge = $this->leaving[$channel][$next[$top]] ?? null;
                if ($edge !== null) {
                    $next[$top]++;
                    $other = $this->to[$edge];
                    if ($index[$other] < 0) {
                        $index[$other] = $low[$other] = $counter++;
                        $stack[] = $other;
                        $onStack[$other] = true;
                        $calls[] = $other;
                        $next[] = 0;
                    } elseif (isset($onStack[$other]) && $index[$other] < $low[$channel]) {
                        $low[$channel] = $index[$other];
                    }

                    continue;
                }
                array_pop($calls);
                array_pop($next);
                if ($calls !== [] && $low[$channel] < $low[$calls[$top - 1]]) {
                    $low[$calls[$top - 1]] = $low[$channel];
                }
                if ($low[$channel] === $index[$channel]) {
                    $this->finish($channel, $stack, $onStack, $finished);
                }
            }
        }
        $this->channelAt = array_reverse($finished);
        $this->place = [];
        foreach ($this->channelAt as $place => $channel) {
            $index[$channel] = $place;
        }
        $this->place = array_values($index);
    }

    /**
     * @param  list<int>  $stack
     * @param  array<int, true>  $onStack
     * @param  list<int>  $finished
     */
    private function finish(int $channel, array &$stack, array &$onStack, array &$finished): void
    {
        $part = [];
        do {
            $member = (int) array_pop($stack);
            unset($onStack[$member]);
            $part[] = $finished[] = $member;
        } while ($member !== $channel);
        $isLoop = count($part) > 1;
        foreach ($isLoop ? [] : $this->leaving[$channel] as $edge) {
            $isLoop = $isLoop || $this->to[$edge] === $channel;
        }
        if ($isLoop) {
            sort($part);
            foreach ($part as $member) {
                $this->partOf[$member] = count($this->parts);
            }
            $this->parts[] = $part;
        }
    }
}

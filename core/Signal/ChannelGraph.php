<?php

declare(strict_types=1);

namespace HiddenWire\Core\Signal;

/**
 * The links that carry, taken apart by channel, and the order in which sound runs through them: strongly connected channels together,
 * whatever feeds a channel before it. Edges are numbered; what is known of edge e stands at e in each list.
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

    /** @var list<float> amplitude factor, with its polarity as the sign */
    public array $amplitude = [];

    /** @var list<int> the delay in microseconds */
    public array $shift = [];

    /** @var list<int> number of the clock that is passed; 0 for none */
    public array $clock = [];

    /** @var list<int> number of the link in the graph */
    public array $link = [];

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

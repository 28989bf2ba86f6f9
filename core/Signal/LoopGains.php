<?php

declare(strict_types=1);

namespace HiddenWire\Core\Signal;

use HiddenWire\Core\Rig\PointRef;

/**
 * The gain round each strongly connected part: the part is cut at the fewest channels that open every circle, and the gain is that of one
 * round from those to themselves, however many steps it has. So much can be added at all of them before it howls. Edges of one delay and
 * one set of clocks add with their polarity; between different delays or clocks the phase is free, since at some frequency they meet. The
 * gain is the largest spectral radius over those phases.
 */
final class LoopGains
{
    /** Entries of different delay between the same two channels; beyond it they are taken for one in which everything adds. */
    private const DELAYS = 24;

    /** Multiplications that may be spent on one part when its polarities have to be weighed against each other. */
    private const WORK = 6_000_000;

    /** Squarings of a matrix: the 1,024th power tells the spectral radius to a hundredth of a decibel. */
    private const SQUARINGS = 10;

    /** @var array<int, LoopGain> */
    private array $gains = [];

    /** @var array<int, list<int>> channels at which a part is cut */
    private array $cuts = [];

    /** Whether some of what was summed could not be separated by its delay. */
    private bool $isBound = false;

    public function __construct(private readonly ChannelGraph $channels, private readonly SignalGraph $graph)
    {
    }

    /** @param  int  $part  number of a strongly connected part */
    public function of(int $part): LoopGain
    {
        return $this->gains[$part] ??= $this->gain($this->reduced($part));
    }

    /**
     * The channels at which a part is cut: the fewest that open every circle; of as few those where a hand can turn it up or down, then the
     * first.
     *
     * @param  int  $part  number of a strongly connected part
     * @return list<int>
     */
    public function cut(int $part): array
    {
        $this->of($part);

        return $this->cuts[$part];
    }

    /**
     * The part's matrix from the channels where it is cut to themselves: every other channel is taken out, those with the fewest ways
     * through them first.
     *
     * @return array<int, array<int, array<int, float>>> signed amplitude by channel, by channel that it feeds, by key of delay and clocks
     */
    private function reduced(int $part): array
    {
        $c = $this->channels;
        $out = $turnable = [];
        foreach ($c->parts[$part] as $channel) {
            foreach ($c->leaving[$channel] as $edge) {
                $to = $c->to[$edge];
                if (($c->partOf[$to] ?? null) === $part) {
                    $key = $c->shift[$edge] + ($c->clock[$edge] === 0 ? 0 : $c->clocks->with(
                        0,
                        $c->clock[$edge],
                    ) << ChannelGraph::CLOCKS_AT);
                    $out[$channel][$to][$key] = ($out[$channel][$to][$key] ?? 0.0) + $c->amplitude[$edge];
                    $turnable += $this->isTurnable($this->graph->links[$c->link[$edge]]) ? [$channel => true, $to => true] : [];
                }
            }
        }
        $out = $this->withoutNothing($out);
        $this->isBound = false;
        $this->cuts[$part] = LoopCut::of($out, $turnable);

        return $this->withoutNothing($this->between($out, array_fill_keys($this->cuts[$part], true)));
    }

    /** Whether a hand can turn the sound up or down at a link. */
    public function isTurnable(Link $link): bool
    {
        return $link->at instanceof PointRef && match ($link->kind) {
            HopKind::Gain => $this->graph->rig->point($link->at)->gain !== null,
            HopKind::Fader => true,
            default => false,
        };
    }

    /**
     * @param  array<int, array<int, array<int, float>>>  $out
     * @param  array<int, true>  $cut
     * @return array<int, array<int, array<int, float>>> from the channels of the cut to themselves
     */
    private function between(array $out, array $cut): array
    {
        $in = [];
        foreach ($out as $from => $row) {
            foreach ($row as $to => $_) {
                $in[$to][$from] = true;
            }
        }
        /** @var \SplPriorityQueue<int, int> $queue */
        $queue = new \SplPriorityQueue;
        $ways = fn (int $channel): int => count($in[$channel] ?? []) * count($out[$channel] ?? []);
        foreach (array_keys(array_diff_key($out + $in, $cut)) as $channel) {
            $queue->insert($channel, -$ways($channel));
        }
        $queue->setExtractFlags(\SplPriorityQueue::EXTR_BOTH);
        while (! $queue->isEmpty()) {
            /** @var array{data: int, priority: int} $top */
            $top = $queue->extract();
            $channel = $top['data'];
            if (! isset($out[$channel]) && ! isset($in[$channel])) {
                continue;
            }
            if (-$top['priority'] < $ways($channel)) {
                $queue->insert($channel, -$ways($channel));

                continue;
            }
            [$before, $after] = [array_keys($in[$channel] ?? []), array_keys($out[$channel] ?? [])];
            $joined = $this->joined($out, $channel, $before, $after);
            foreach ($before as $from) {
                unset($out[$from][$channel]);
            }
            foreach ($after as $to) {
                unset($in[$to][$channel]);
            }
            unset($out[$channel], $in[$channel]);
            foreach ($joined as [$from, $to, $entry]) {
                $out[$from][$to] = $entry;
                $in[$to][$from] = true;
            }
        }

        return $out;
    }

    /**
     * The entries that bridge a channel.
     *
     * @param  array<int, array<int, array<int, float>>>  $out
     * @param  list<int>  $before
     * @param  list<int>  $after
     * @return list<array{int, int, array<int, float>}>
     */
    private function joined(array $out, int $channel, array $before, array $after): array
    {
        $joined = [];
        foreach ($before as $from) {
            foreach ($after as $to) {
                $entry = $out[$from][$to] ?? [];
                foreach ($out[$from][$channel] as $keyIn => $a) {
                    foreach ($out[$channel][$to] as $keyOut => $b) {
                        $clocks = $this->channels->clocks->both($keyIn >> ChannelGraph::CLOCKS_AT, $keyOut >> ChannelGraph::CLOCKS_AT);
                        $key = ($keyIn & ChannelGraph::DELAY) + ($keyOut & ChannelGraph::DELAY) + ($clocks << ChannelGraph::CLOCKS_AT);
                        $entry[$key] = ($entry[$key] ?? 0.0) + $a * $b;
                    }
                }
                if (count($entry) > self::DELAYS) {
                    $entry = [(int) array_key_first($entry) => array_sum(array_map(abs(...), $entry))];
                    $this->isBound = true;
                }
                $joined[] = [$from, $to, $entry];
            }
        }

        return $joined;
    }

    /**
     * @param  array<int, array<int, array<int, float>>>  $out
     * @return array<int, array<int, array<int, float>>>
     */
    private function withoutNothing(array $out): array
    {
        $matrix = [];
        foreach ($out as $from => $row) {
            foreach ($row as $to => $entry) {
                $entry = array_filter($entry, fn (float $amplitude) => abs($amplitude) > 1e-12);
                if ($entry !== []) {
                    $matrix[$from][$to] = $entry;
                }
            }
        }

        return $matrix;
    }

    /** @param  array<int, array<int, array<int, float>>>  $matrix */
    private function gain(array $matrix): LoopGain
    {
        $most = $this->radiusOfSizes($matrix);
        if ($this->isBound) {
            return new LoopGain($most, true);
        }
        if ($most === 0.0 || $this->phasesAgree($matrix)) {
            return new LoopGain($most, false);
        }
        $search = new PhaseSearch($matrix, self::WORK, self::SQUARINGS);
        $found = $search->largest();
        $gain = new LoopGain(min($most, $found ?? $most), $found === null);

        // What a search finds is there; there may be more. A loop that may howl is never called quiet.
        return $search->isExact() || $gain->isLoud() || ! (new LoopGain($most, true))->howls() ? $gain : new LoopGain($most, true);
    }

    /**
     * Whether the free phases can be chosen so that everything adds: phases of 0 and 180 degrees for each delay, each channel and the
     * whole round. A system of equations modulo 2.
     *
     * @param  array<int, array<int, array<int, float>>>  $matrix
     */
    private function phasesAgree(array $matrix): bool
    {
        $number = [];
        $unknown = function (string $name) use (&$number): int {
            return $number[$name] ??= count($number);
        };
        /** @var array<int, array<int, true>> $rows equations by the unknown that they settle; unknown -1 is the constant */
        $rows = [];
        foreach ($matrix as $from => $row) {
            foreach ($row as $to => $entry) {
                foreach ($entry as $key => $amplitude) {
                    $equation = $amplitude < 0 ? [-1 => true] : [];
                    foreach ([
                        $unknown('round'),
                        $unknown("channel {$from}"),
                        $unknown("channel {$to}"),
                        ...($key === 0 ? [] : [$unknown("delay {$key}")]),
                    ] as $term) {
                        $equation = $this->plus($equation, [$term => true]);
                    }
                    while (true) {
                        $terms = array_keys($equation);
                        $first = $terms === [] ? -1 : max($terms);
                        if ($first < 0 || ! isset($rows[$first])) {
                            break;
                        }
                        $equation = $this->plus($equation, $rows[$first]);
                    }
                    if ($equation === []) {
                        continue;
                    }
                    if ($first < 0) {
                        return false;
                    }
                    $rows[$first] = $equation;
                }
            }
        }

        return true;
    }

    /**
     * @param  array<int, true>  $a
     * @param  array<int, true>  $b
     * @return array<int, true>
     */
    private function plus(array $a, array $b): array
    {
        foreach ($b as $term => $_) {
            if (isset($a[$term])) {
                unset($a[$term]);
            } else {
                $a[$term] = true;
            }
        }

        return $a;
    }

    /**
     * The spectral radius where everything adds, by power iteration. The matrix is shifted by a part of the unit matrix, so that a part
     * that swings between its channels settles too; the ratios of two iterates are bounds of it (Collatz), and it ends when they meet.
     * Costs the entries of the matrix a round.
     *
     * @param  array<int, array<int, array<int, float>>>  $matrix
     */
    private function radiusOfSizes(array $matrix): float
    {
        $sizes = [];
        $vector = [];
        $largest = 0.0;
        foreach ($matrix as $from => $row) {
            foreach ($row as $to => $entry) {
                $sizes[$from][$to] = array_sum(array_map(abs(...), $entry));
                $vector[$from] = $vector[$to] = 1.0;
            }
            $largest = max($largest, array_sum($sizes[$from]));
        }
        if ($largest === 0.0) {
            return 0.0;
        }
        $keep = $largest / 8;
        $radius = 0.0;
        for ($round = 0; $round < 2000; $round++) {
            $next = array_map(fn (float $value) => $value * $keep, $vector);
            foreach ($sizes as $from => $row) {
                foreach ($row as $to => $size) {
                    $next[$to] += $vector[$from] * $size;
                }
            }
            $low = INF;
            $high = 0.0;
            foreach ($next as $channel => $value) {
                if ($vector[$channel] > 1e-200) {
                    $low = min($low, $value / $vector[$channel]);
                    $high = max($high, $value / $vector[$channel]);
                }
            }
            $radius = ($low + $high) / 2 - $keep;
            $sum = array_sum($next);
            $vector = array_map(fn (float $value) => $value / $sum, $next);
            if ($high - $low <= 1e-7 * $high) {
                break;
            }
        }

        return max(0.0, $radius);
    }
}

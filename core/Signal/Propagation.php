<?php

declare(strict_types=1);

namespace HiddenWire\Core\Signal;

/**
 * The impulse response of the graph from one channel to every channel that leads to a listener: signed amplitudes by delay. Channels are
 * taken in the order in which sound runs, so that each edge is walked once; a strongly connected part is gone round until what is left is
 * gone. The work is bounded by an {@see Effort}; what is left out is bounded by the sum of its amplitudes.
 */
final class Propagation
{
    /** 160 dB below the source: past anything that later gain could make heard. */
    private const NOTHING = 1e-8;

    /** What an edge costs beside its taps. */
    private const EDGE = 4;

    /** @param  array<int, true>  $useful  the channels from which a listener is reached: all that feeds one of them is one of them */
    public function __construct(
        private readonly ChannelGraph $channels,
        private readonly LoopGains $loops,
        private readonly array $useful,
        private readonly Effort $effort,
    ) {
    }

    /** A sound that begins at a channel, at its own level, now: as far as a listener is reached. */
    public function from(int $channel): Spread
    {
        $spread = new Spread;
        if (isset($this->useful[$channel])) {
            $spread->taps[$channel] = [0 => 1.0];
            $this->spread($spread, $channel, false);
        }

        return $spread;
    }

    /** What has spread from a channel as far as a listener is reached, over all other channels too. */
    public function beyond(int $channel, Spread $spread): void
    {
        $spread->taps[$channel] ??= [0 => 1.0];
        $this->spread($spread, $channel, true);
    }

    private function spread(Spread $spread, int $channel, bool $isBeyond): void
    {
        $places = [];
        foreach ($this->reached($channel, $isBeyond) as $reached) {
            $places[] = $this->channels->place[$reached];
        }
        sort($places);
        $fedBy = $done = [];
        foreach ($places as $place) {
            $here = $this->channels->channelAt[$place];
            $part = $this->channels->partOf[$here] ?? null;
            $isNew = isset($this->useful[$here]) !== $isBeyond;
            if ($isNew && $part !== null && ! isset($done[$part])) {
                $done[$part] = true;
                $this->goRound($spread, $part);
            }
            if ($isNew && $this->effort->isSpent()) {
                $spread->rest[$here] = INF;
            }
            $this->passOn($spread, $here, $part, $fedBy, $isBeyond);
        }
    }

    /** @return list<int> */
    private function reached(int $channel, bool $isBeyond): array
    {
        $seen = [$channel => true];
        $open = [$channel];
        while ($open !== []) {
            foreach ($this->channels->leaving[array_pop($open)] as $edge) {
                $to = $this->channels->to[$edge];
                if (! isset($seen[$to]) && ($isBeyond || isset($this->useful[$to]))) {
                    $seen[$to] = true;
                    $open[] = $to;
                }
            }
        }

        return array_keys($seen);
    }

    /**
     * @param  array<int, int>  $fedBy  the link that fed a channel first
     * @param  bool  $isBeyond  to channels that lead to no listener; to those that do otherwise
     */
    private function passOn(Spread $spread, int $here, ?int $part, array &$fedBy, bool $isBeyond): void
    {
        $c = $this->channels;
        $taps = $spread->taps[$here] ?? [];
        if (isset($spread->sums[$here]) && isset($this->useful[$here]) !== $isBeyond) {
            $spread->taps[$here] = $taps = $this->trimmed($spread, $here, $taps);
        }
        $rest = $spread->rest[$here] ?? 0.0;
        // Past the bound nothing is counted any more: that there may be something goes on.
        $taps = $this->effort->isSpent() ? [] : $taps;
        if ($taps === [] && $rest === 0.0) {
            return;
        }
        $meets = isset($spread->meets[$here]);
        foreach ($c->leaving[$here] as $edge) {
            $to = $c->to[$edge];
            if (isset($this->useful[$to]) === $isBeyond || ($part !== null && ($c->partOf[$to] ?? null) === $part)) {
                continue;
            }
            if ($rest > 0.0) {
                $spread->rest[$to] = ($spread->rest[$to] ?? 0.0) + $rest * abs($c->amplitude[$edge]);
            }
            if (isset($spread->parts[$here])) {
                $spread->parts[$to] = ($spread->parts[$to] ?? []) + $spread->parts[$here];
            }
            if ($taps === []) {
                continue;
            }
            if (! isset($spread->taps[$to])) {
                $spread->taps[$to] = [];
                $fedBy[$to] = $c->link[$edge];
            } else {
                $spread->sums[$to] = true;
                if ($fedBy[$to] !== $c->link[$edge]) {
                    $spread->meets[$to] = true;
                }
            }
            $this->add($spread->taps[$to], $taps, $edge);
            if ($meets) {
                $spread->meets[$to] = true;
            }
        }
    }

    /**
     * Adds what comes along an edge.
     *
     * @param  array<int, float>  $sum
     * @param  array<int, float>  $taps
     */
    private function add(array &$sum, array $taps, int $edge): void
    {
        $c = $this->channels;
        [$amplitude, $shift, $clock] = [$c->amplitude[$edge], $c->shift[$edge], $c->clock[$edge]];
        $this->effort->spend(self::EDGE + count($taps));
        if ($sum === [] && $clock === 0 && $shift === 0 && $amplitude === 1.0) {
            $sum = $taps;
        } elseif ($clock === 0) {
            foreach ($taps as $key => $tap) {
                $sum[$key + $shift] = ($sum[$key + $shift] ?? 0.0) + $tap * $amplitude;
            }
        } else {
            foreach ($taps as $key => $tap) {
                $new = ($key & ChannelGraph::DELAY) + $shift + ($c->clocks->with(
                    $key >> ChannelGraph::CLOCKS_AT,
                    $clock,
                ) << ChannelGraph::CLOCKS_AT);
                $sum[$new] = ($sum[$new] ?? 0.0) + $tap * $amplitude;
            }
        }
    }

    /**
     * Without what has cancelled out, and no more than a channel may hold: the strongest stay.
     *
     * @param  array<int, float>  $taps
     * @return array<int, float>
     */
    private function trimmed(Spread $spread, int $channel, array $taps): array
    {
        foreach ($taps as $key => $amplitude) {
            if (abs($amplitude) < self::NOTHING) {
                unset($taps[$key]);
            }
        }
        $most = $this->effort->tapsAChannel();
        if (count($taps) <= $most) {
            return $taps;
        }
        $this->effort->spend(2 * count($taps));
        $sizes = array_map(abs(...), array_values($taps));
        rsort($sizes);
        $least = $sizes[$most - 1];
        $left = 0.0;
        foreach ($taps as $key => $amplitude) {
            if (abs($amplitude) < $least || $most <= 0) {
                $left += abs($amplitude);
                unset($taps[$key]);
            } else {
                $most--;
            }
        }
        $spread->rest[$channel] = ($spread->rest[$channel] ?? 0.0) + $left;

        return $taps;
    }

    /**
     * Sound in a strongly connected part: what enters, and what comes round of it until it is gone. One that howls is gone round until all
     * of it has been reached.
     */
    private function goRound(Spread $spread, int $part): void
    {
        $c = $this->channels;
        $members = $c->parts[$part];
        $howls = $this->loops->of($part)->howls();
        $coming = $rest = [];
        foreach ($members as $member) {
            if (isset($spread->taps[$member])) {
                $coming[$member] = $spread->taps[$member];
                unset($spread->taps[$member]);
            }
            if (isset($spread->rest[$member])) {
                $rest[$member] = $spread->rest[$member];
            }
        }
        $reached = -1;
        // One that howls has no end: it is enough to know what it reaches.
        while ($coming !== [] && (! $howls || count($spread->taps) > $reached)) {
            $reached = count($spread->taps);
            $next = [];
            foreach ($coming as $channel => $taps) {
                if ($this->effort->isSpent()) {
                    $spread->rest = array_fill_keys($members, INF) + $spread->rest;

                    break 2;
                }
                if (isset($spread->taps[$channel])) {
                    foreach ($taps as $key => $amplitude) {
                        $spread->taps[$channel][$key] = ($spread->taps[$channel][$key] ?? 0.0) + $amplitude;
                    }
                } else {
                    $spread->taps[$channel] = $taps;
                }
                foreach ($c->leaving[$channel] as $edge) {
                    $to = $c->to[$edge];
                    if (($c->partOf[$to] ?? null) === $part) {
                        $next[$to] ??= [];
                        $this->add($next[$to], $taps, $edge);
                    }
                }
            }
            $coming = [];
            foreach ($next as $channel => $taps) {
                $taps = $this->trimmed($spread, $channel, $taps);
                if ($taps !== []) {
                    $coming[$channel] = $taps;
                }
            }
        }
        foreach ($members as $member) {
            if (isset($spread->taps[$member])) {
                $spread->taps[$member] = $this->trimmed($spread, $member, $spread->taps[$member]);
                $spread->meets[$member] = true;
                $spread->parts[$member] = ($spread->parts[$member] ?? []) + [$part => true];
            }
        }
        $this->spreadRest($spread, $part, $members);
    }

    /**
     * What was not counted goes round too: its bound grows by at most the sum of the part's gains, if the part is quiet even without
     * regard to polarity.
     *
     * @param  list<int>  $members
     */
    private function spreadRest(Spread $spread, int $part, array $members): void
    {
        $left = [];
        foreach ($members as $member) {
            if (($spread->rest[$member] ?? 0.0) > 0.0) {
                $left[$member] = $spread->rest[$member];
            }
        }
        if ($left === [] || $this->loops->of($part)->howls()) {
            return;
        }
        $c = $this->channels;
        $total = array_sum($left);
        for ($round = 0; $left !== [] && $round < 1000 && is_finite($total); $round++) {
            $next = [];
            foreach ($left as $channel => $amplitude) {
                foreach ($c->leaving[$channel] as $edge) {
                    if (($c->partOf[$c->to[$edge]] ?? null) === $part) {
                        $next[$c->to[$edge]] = ($next[$c->to[$edge]] ?? 0.0) + $amplitude * abs($c->amplitude[$edge]);
                    }
                }
            }
            $this->effort->spend(count($next));
            $left = array_filter($next, fn (float $amplitude) => $amplitude > self::NOTHING);
            foreach ($left as $channel => $amplitude) {
                $spread->rest[$channel] = ($spread->rest[$channel] ?? 0.0) + $amplitude;
            }
            $total = array_sum($left);
        }
        if ($left !== []) {
            foreach ($members as $member) {
                $spread->rest[$member] = INF;
            }
        }
    }
}

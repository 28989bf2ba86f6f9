<?php

declare(strict_types=1);

namespace HiddenWire\Core\Signal;

/**
 * The fewest channels of a strongly connected part that open every circle in it (a minimum feedback vertex set). Channels that only hand a
 * sound on are joined to what feeds them; what is left is searched by branch and bound, each time at the channel with the most ways through
 * it: taken, or never taken and bridged. Of large dense parts the search ends early, with the best that was found.
 *
 * @phpstan-type Feeds array<int, array<int, true>>
 */
final class LoopCut
{
    /** Weight of a channel; smaller weights decide between sets of one size. */
    private const ONE = 1_000_000_000_000;

    /** Added weight of a channel that no control turns up or down. */
    private const FIXED = 10_000_000;

    /** Branches that may be looked at; circles with no channel in common bound most parts at once. */
    private const BRANCHES = 400;

    /** Ways, for each of which a branch costs a step: of more only the first guess is made. */
    private const WAYS = 4000;

    /** @var array<int, int> by channel */
    private array $weights = [];

    /** @var list<int> */
    private array $best = [];

    private int $least = PHP_INT_MAX;

    private int $branches = 0;

    /**
     * @param  list<int>  $channels  in order
     * @param  array<int, true>  $turnable  channels where a hand can turn the sound up or down
     */
    private function __construct(array $channels, array $turnable)
    {
        foreach ($channels as $rank => $channel) {
            $this->weights[$channel] = self::ONE + $rank + (isset($turnable[$channel]) ? 0 : self::FIXED);
        }
    }

    /**
     * @param  array<int, array<int, mixed>>  $feeds  by channel, the channels that it feeds; none beyond the part
     * @param  array<int, true>  $turnable  channels where a hand can turn the sound up or down: of sets of one size those are taken
     * @return list<int> in order
     */
    public static function of(array $feeds, array $turnable): array
    {
        $out = $in = [];
        foreach ($feeds as $from => $tos) {
            foreach ($tos as $to => $_) {
                $out[$from][$to] = true;
                $in[$to][$from] = true;
            }
        }
        $channels = array_keys($out + $in);
        sort($channels);
        $cut = new self($channels, $turnable);
        $cut->branch($out, $in, []);
        sort($cut->best);

        return $cut->best;
    }

    /**
     * @param  Feeds  $out
     * @param  Feeds  $in
     * @param  list<int>  $taken
     */
    private function branch(array $out, array $in, array $taken): void
    {
        $taken = $this->reduced($out, $in, $taken);
        $sum = array_sum(array_map(fn (int $channel) => $this->weights[$channel], $taken));
        if ($out === []) {
            if ($sum < $this->least) {
                [$this->least, $this->best] = [$sum, $taken];
            }

            return;
        }
        $isOver = $this->least < PHP_INT_MAX
            && (++$this->branches > self::BRANCHES || array_sum(array_map(count(...), $out)) > self::WAYS);
        if ($isOver || $sum + $this->bound($out) >= $this->least) {
            return;
        }
        $most = null;
        $through = [];
        foreach ($out as $channel => $tos) {
            $rank = [count($tos) * count($in[$channel]), -$this->weights[$channel]];
            if ($rank > $through) {
                [$most, $through] = [$channel, $rank];
            }
        }
        [$without, $before] = [$out, $in];
        self::remove($without, $before, (int) $most);
        $this->branch($without, $before, [...$taken, (int) $most]);
        self::bridge($out, $in, (int) $most);
        $this->branch($out, $in, $taken);
    }

    /**
     * What has to be taken whatever else is, and what need not be.
     *
     * @param  Feeds  $out
     * @param  Feeds  $in
     * @param  list<int>  $taken
     * @return list<int> with what has to be taken
     */
    private function reduced(array &$out, array &$in, array $taken): array
    {
        $open = array_fill_keys(array_keys($out + $in), true);
        while ($open !== []) {
            $channel = (int) array_key_first($open);
            unset($open[$channel]);
            if (! isset($out[$channel]) && ! isset($in[$channel])) {
                continue;
            }
            [$before, $after] = [$in[$channel] ?? [], $out[$channel] ?? []];
            if (isset($after[$channel])) {
                $taken[] = $channel;
                self::remove($out, $in, $channel);
            } elseif ($before === [] || $after === []) {
                self::remove($out, $in, $channel);
            } elseif ($this->isHandedOn($channel, $before) || $this->isHandedOn($channel, $after)) {
                self::bridge($out, $in, $channel);
            } else {
                continue;
            }
            $open += $before + $after;
        }

        return $taken;
    }

    /**
     * Whether all circles through a channel pass its one neighbour, which is as good to take.
     *
     * @param  array<int, true>  $neighbours
     */
    private function isHandedOn(int $channel, array $neighbours): bool
    {
        return count($neighbours) === 1 && $this->weights[(int) array_key_first($neighbours)] <= $this->weights[$channel];
    }

    /**
     * Of circles of two channels with no channel in common each needs one of its own, the lighter at the least.
     *
     * @param  Feeds  $out
     */
    private function bound(array $out): int
    {
        $bound = 0;
        $met = [];
        foreach ($out as $channel => $tos) {
            foreach (isset($met[$channel]) ? [] : $tos as $to => $_) {
                if (! isset($met[$to]) && isset($out[$to][$channel])) {
                    $met[$channel] = $met[$to] = true;
                    $bound += min($this->weights[$channel], $this->weights[$to]);

                    break;
                }
            }
        }

        return $bound === 0 ? self::ONE : $bound;
    }

    /**
     * @param  Feeds  $out
     * @param  Feeds  $in
     */
    private static function remove(array &$out, array &$in, int $channel): void
    {
        foreach ($in[$channel] ?? [] as $from => $_) {
            unset($out[$from][$channel]);
            if ($out[$from] === []) {
                unset($out[$from]);
            }
        }
        foreach ($out[$channel] ?? [] as $to => $_) {
            unset($in[$to][$channel]);
            if ($in[$to] === []) {
                unset($in[$to]);
            }
        }
        unset($out[$channel], $in[$channel]);
    }

    /**
     * @param  Feeds  $out
     * @param  Feeds  $in
     */
    private static function bridge(array &$out, array &$in, int $channel): void
    {
        [$before, $after] = [$in[$channel] ?? [], $out[$channel] ?? []];
        self::remove($out, $in, $channel);
        foreach ($before as $from => $_) {
            foreach ($after as $to => $_) {
                $out[$from][$to] = true;
                $in[$to][$from] = true;
            }
        }
    }
}

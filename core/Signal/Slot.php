<?php

declare(strict_types=1);

namespace HiddenWire\Core\Signal;

/** One part of a source in one channel of an ear: the copies of it that arrive, and their sum. */
final readonly class Slot
{
    /** The strongest copy; of equally strong ones the earliest. */
    public ?Copy $first;

    /** Power of all copies together, relative to the source: copies at different times add by their power. */
    public float $power;

    /** @param  list<Copy>  $copies  by their delay */
    private function __construct(public string $ear, public int $channel, public int $part, public array $copies)
    {
        $first = null;
        $power = 0.0;
        foreach ($copies as $copy) {
            $power += $copy->amplitude ** 2;
            if ($first === null || abs($copy->amplitude) > abs($first->amplitude) * (1 + 1e-9)) {
                $first = $copy;
            }
        }
        $this->first = $first;
        $this->power = $power;
    }

    /** @param  array<int, float>  $taps  signed amplitude by key (see {@see ChannelGraph}) */
    public static function of(string $ear, int $channel, int $part, array $taps): self
    {
        if (count($taps) === 1) {
            $key = array_key_first($taps);

            return new self($ear, $channel, $part, [new Copy($key & ChannelGraph::DELAY, $taps[$key], $key >> ChannelGraph::CLOCKS_AT)]);
        }
        // By clocks, then by delay.
        ksort($taps);
        $within = (int) round(Doubling::ADDS_MS * 1000);
        $copies = [];
        /**
         * @var array{int, int, float, int, float}|null $open clocks, when it began, the sum, when its strongest tap was, how strong that
         *     is
         */
        $open = null;
        foreach ($taps as $key => $amplitude) {
            [$clocks, $delay] = [$key >> ChannelGraph::CLOCKS_AT, $key & ChannelGraph::DELAY];
            if ($open !== null && $open[0] === $clocks && $delay - $open[1] < $within) {
                $open[2] += $amplitude;
                if (abs($amplitude) > $open[4]) {
                    [$open[3], $open[4]] = [$delay, abs($amplitude)];
                }

                continue;
            }
            if ($open !== null) {
                $copies[] = new Copy($open[3], $open[2], $open[0]);
            }
            $open = [$clocks, $delay, $amplitude, $delay, abs($amplitude)];
        }
        if ($open !== null) {
            $copies[] = new Copy($open[3], $open[2], $open[0]);
        }
        // What is left of copies that cancel is rounding.
        $copies = array_values(array_filter($copies, fn (Copy $copy) => abs($copy->amplitude) > 1e-9));
        usort($copies, fn (Copy $a, Copy $b) => $a->delay <=> $b->delay);

        return new self($ear, $channel, $part, $copies);
    }

    public function decibels(): float
    {
        return $this->power > 0 ? 10 * log10($this->power) : -INF;
    }
}

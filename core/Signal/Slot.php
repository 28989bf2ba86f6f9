<?php

declare(strict_types=1);

namespace HiddenWire\Core\Signal;

/** One part of a source in one channel of an ear: the copies of it that arrive, and their sum. */
final readonly class Slot
{
    /** The strongest copy; of equally strong ones the earliest. */
    public ?Copy $first;

    /**
     * Power of all copies together, relative to the source: copies at different times add by their power. Turned copies that come within a
     * tenth of a millisecond of others cancel as far as their delay lets them: the mean over the speech band.
     */
    public float $power;

    /** The same at the frequency of the speech band where least of it cancels. */
    public float $peak;

    /**
     * @param  list<Copy>  $copies  by their delay
     * @param  float  $less  how much less their power is than that of each by itself, since turned copies cancel
     * @param  float  $peakLess  the same where least of it cancels; negative where copies add
     */
    private function __construct(
        public string $ear,
        public int $channel,
        public int $part,
        public array $copies,
        float $less = 0.0,
        float $peakLess = 0.0,
    ) {
        $first = null;
        $power = 0.0;
        foreach ($copies as $copy) {
            $power += $copy->amplitude ** 2;
            if ($first === null || abs($copy->amplitude) > abs($first->amplitude) * (1 + 1e-9)) {
                $first = $copy;
            }
        }
        $this->first = $first;
        $this->power = max(0.0, $power - $less);
        $this->peak = max($this->power, $power - $peakLess);
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
        /** @var array<int, array<int, float>> $bundles taps that come within a tenth of a millisecond, by the key of the first */
        $bundles = [];
        $begin = null;
        foreach ($taps as $key => $amplitude) {
            // Clocks lie above the delay in a key, so that the taps of another set of clocks are further away than any delay.
            $begin = $begin === null || $key - $begin >= $within ? $key : $begin;
            $bundles[$begin][$key] = $amplitude;
        }
        $copies = [];
        $less = $peakLess = 0.0;
        foreach ($bundles as $bundle) {
            [$up, $down] = [self::copy($bundle, 1), self::copy($bundle, -1)];
            array_push($copies, ...array_filter([$up, $down]));
            if ($up !== null && $down !== null) {
                $each = $up->amplitude ** 2 + $down->amplitude ** 2;
                $less += $each - SpeechBand::mean($bundle);
                $peakLess += $each - SpeechBand::most($bundle);
            }
        }
        usort($copies, fn (Copy $a, Copy $b) => $a->delay <=> $b->delay);

        return new self($ear, $channel, $part, $copies, $less, $peakLess);
    }

    /**
     * The taps of one sign, as one copy; null where there is none. What is left of copies that cancel is rounding.
     *
     * @param  array<int, float>  $taps
     */
    private static function copy(array $taps, int $sign): ?Copy
    {
        $sum = $most = 0.0;
        $at = 0;
        foreach ($taps as $key => $amplitude) {
            if ($amplitude * $sign > 0) {
                $sum += $amplitude;
                [$at, $most] = abs($amplitude) > $most ? [$key, abs($amplitude)] : [$at, $most];
            }
        }

        return abs($sum) > 1e-9 ? new Copy($at & ChannelGraph::DELAY, $sum, $at >> ChannelGraph::CLOCKS_AT) : null;
    }

    public function decibels(): float
    {
        return $this->power > 0 ? 10 * log10($this->power) : -INF;
    }

    /** At the frequency of the speech band where least of it cancels. */
    public function peakDecibels(): float
    {
        return $this->peak > 0 ? 10 * log10($this->peak) : -INF;
    }
}

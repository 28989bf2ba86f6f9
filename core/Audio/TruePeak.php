<?php

declare(strict_types=1);

namespace HiddenWire\Core\Audio;

/**
 * The highest value of the wave between samples, by ITU-R BS.1770-4: oversampled to at least 160 kHz, but only where the samples beside
 * allow a new maximum. One channel.
 */
final class TruePeak
{
    /** Samples on each side of the gap that is filled. */
    private const SIDE = 8;

    private const BETA = 5.0;

    private const ENOUGH_HZ = 160_000;

    private const BLOCK = 48;

    /** The largest amplitude so far. */
    public float $peak = 0.0;

    /** The largest of a sample. */
    public float $samplePeak = 0.0;

    /** How many points between samples were worked out to the end. */
    public int $workedOut = 0;

    /** @var list<list<float>> for each point between two samples, the weights of those around */
    private array $phases = [];

    /** The most that all but the six nearest samples add, where all are as large as the largest. */
    private float $rest = 0.0;

    /** @var list<float> */
    private array $kept;

    /** @param  bool  $skips  false works every gap out, to compare with */
    public function __construct(int $rate, private readonly bool $skips = true)
    {
        for ($times = 1; $times * $rate < self::ENOUGH_HZ; $times *= 2) {
        }
        for ($phase = 1; $phase < $times; $phase++) {
            $weights = [];
            for ($i = 1 - self::SIDE; $i <= self::SIDE; $i++) {
                $x = $phase / $times - $i;
                $weights[] = sin(M_PI * $x) / (M_PI * $x) * exp(-self::BETA * ($x / self::SIDE) ** 2 / 2);
            }
            $sum = array_sum($weights);
            $weights = array_map(fn (float $one) => $one / $sum, $weights);
            $this->phases[] = $weights;
            $far = array_merge(array_slice($weights, 0, self::SIDE - 3), array_slice($weights, self::SIDE + 3));
            $this->rest = max($this->rest, array_sum(array_map(abs(...), $far)));
        }
        $this->kept = array_fill(0, 2 * self::SIDE, 0.0);
    }

    /** @param  list<float>  $samples */
    public function take(array $samples): void
    {
        if ($samples === []) {
            return;
        }
        $this->samplePeak = max($this->samplePeak, max($samples), -min($samples));
        $this->peak = max($this->peak, $this->samplePeak);
        if ($this->phases === []) {
            return;
        }
        $all = array_merge($this->kept, $samples);
        $last = count($all) - 2 * self::SIDE;
        for ($from = 0; $from < $last; $from += self::BLOCK) {
            $around = array_slice($all, $from, self::BLOCK + 2 * self::SIDE);
            $most = $around === [] ? 0.0 : max(max($around), -min($around));
            // No sum of weights is above 2.3: a bound for the whole block.
            if (! $this->skips || 2.3 * $most > $this->peak) {
                $this->gaps($all, $from, min($from + self::BLOCK, $last), $most);
            }
        }
        $this->kept = array_slice($all, $last);
    }

    /** @param  list<float>  $all  gap i follows sample i + SIDE - 1 */
    private function gaps(array $all, int $from, int $to, float $most): void
    {
        $peak = $this->peak;
        $far = $this->skips ? $this->rest * $most : INF;
        $worked = 0;
        // Written out: this is done some hundred million times an hour.
        foreach ($this->phases as $w) {
            [$w0, $w1, $w2, $w3, $w4, $w5, $w6, $w7, $w8, $w9, $w10, $w11, $w12, $w13, $w14, $w15] = $w;
            for ($i = $from; $i < $to; $i++) {
                $sum = $w5 * $all[$i + 5] + $w6 * $all[$i + 6] + $w7 * $all[$i + 7]
                    + $w8 * $all[$i + 8] + $w9 * $all[$i + 9] + $w10 * $all[$i + 10];
                if ($sum + $far <= $peak && $far - $sum <= $peak) {
                    continue;
                }
                $worked++;
                $sum += $w0 * $all[$i] + $w1 * $all[$i + 1] + $w2 * $all[$i + 2] + $w3 * $all[$i + 3] + $w4 * $all[$i + 4]
                    + $w11 * $all[$i + 11] + $w12 * $all[$i + 12] + $w13 * $all[$i + 13] + $w14 * $all[$i + 14] + $w15 * $all[$i + 15];
                if ($sum > $peak || -$sum > $peak) {
                    $peak = abs($sum);
                }
            }
        }
        $this->workedOut += $worked;
        $this->peak = $peak;
    }
}

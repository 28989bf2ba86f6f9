<?php

declare(strict_types=1);

namespace HiddenWire\Core\Audio;

/** Takes every so manieth sample after what would fold back is filtered out. Keeps what it needs from block to block. */
final class Decimator
{
    /** For 70 dB of stopband by Kaiser's window. */
    private const BETA = 6.76;

    private const STOPBAND_DB = 70.0;

    /** @var list<float> half of the symmetrical filter, its middle last */
    private array $half;

    /** @var list<float> samples that are still needed */
    private array $kept;

    /** Of the whole filter, in samples of the input: so much later comes what comes. */
    public readonly int $delay;

    /**
     * @param  int  $by  1 leaves all as it is
     * @param  float  $rate  samples a second of the input
     * @param  float  $pass  Hz; up to here nothing may change, and nothing may fold back to
     */
    public function __construct(private readonly int $by, float $rate, float $pass)
    {
        $stop = $rate / $by - $pass;
        $width = 2 * M_PI * ($stop - $pass) / $rate;
        $side = $by === 1 ? 0 : 5 * (int) ceil((self::STOPBAND_DB - 8) / (2.285 * $width) / 10);
        $middle = ($pass + $stop) / 2 / $rate;
        $half = [];
        for ($i = -$side; $i <= 0; $i++) {
            $sinc = $i === 0 ? 2 * $middle : sin(2 * M_PI * $middle * $i) / (M_PI * $i);
            $half[] = $sinc * self::bessel(self::BETA * sqrt(1 - ($i / max(1, $side)) ** 2)) / self::bessel(self::BETA);
        }
        $sum = 2 * array_sum($half) - $half[$side];
        $this->half = $by === 1 ? [1.0] : array_map(fn (float $one) => $one / $sum, $half);
        $this->delay = $side;
        $this->kept = array_fill(0, $side, 0.0);
    }

    /**
     * @param  list<float>  $samples
     * @return list<float> sample k is that of the input at k times so many, where all is counted from the first
     */
    public function take(array $samples): array
    {
        if ($this->by === 1) {
            return $samples;
        }
        $all = array_merge($this->kept, $samples);
        [$half, $side, $by] = [$this->half, $this->delay, $this->by];
        $last = count($all) - 2 * $side;
        $taken = [];
        for ($at = 0; $at < $last; $at += $by) {
            $sum = $half[$side] * $all[$at + $side];
            // The side is a multiple of five, written out: a tone test spends most of its time here.
            for ($i = 0, $a = $at, $b = $at + 2 * $side; $i < $side; $i += 5, $a += 5, $b -= 5) {
                $sum += $half[$i] * ($all[$a] + $all[$b]) + $half[$i + 1] * ($all[$a + 1] + $all[$b - 1])
                    + $half[$i + 2] * ($all[$a + 2] + $all[$b - 2]) + $half[$i + 3] * ($all[$a + 3] + $all[$b - 3])
                    + $half[$i + 4] * ($all[$a + 4] + $all[$b - 4]);
            }
            $taken[] = $sum;
        }
        $this->kept = array_slice($all, $at);

        return $taken;
    }

    /** @return list<float> what is still to come after the end */
    public function rest(): array
    {
        return $this->take(array_fill(0, $this->delay, 0.0));
    }

    /** The modified Bessel function of the first kind, order 0. */
    private static function bessel(float $x): float
    {
        $sum = $term = 1.0;
        for ($k = 1; $term > 1e-12 * $sum; $k++) {
            $term *= ($x / (2 * $k)) ** 2;
            $sum += $term;
        }

        return $sum;
    }
}

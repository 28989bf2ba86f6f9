<?php

declare(strict_types=1);

namespace HiddenWire\Core\Audio;

/**
 * Loudness by ITU-R BS.1770-4: K-weighted power in blocks of 400 ms that overlap by three quarters, gated at -70 LUFS and then 10 below the
 * mean of the rest. One channel; those of a track are summed by {@see integrated()}.
 */
final class Loudness
{
    public const STEP_SECONDS = 0.1;

    private const STEPS_A_BLOCK = 4;

    private const OFFSET_DB = -0.691;

    private const SILENT_LUFS = -70.0;

    private const GATE_LU = 10.0;

    /** @var list<float> K-weighted mean power of each 100 ms */
    public array $powers = [];

    /** @var list<float> mean power of each 100 ms as it is */
    public array $plain = [];

    private readonly Biquad $shelf;

    private readonly Biquad $high;

    private readonly int $step;

    /** @var array{float, float, float, float} */
    private array $memory = [0.0, 0.0, 0.0, 0.0];

    private float $sum = 0.0;

    private float $plainSum = 0.0;

    private int $counted = 0;

    public function __construct(int $rate)
    {
        $this->step = (int) round($rate * self::STEP_SECONDS);
        // The analog filters that the recommendation's coefficients for 48 kHz stand for.
        $gain = 10 ** (3.999843853973347 / 20);
        $middle = $gain ** 0.4996667741545416;
        $this->shelf = Biquad::bilinear(1_681.974450955533, 0.7071752369554196, $rate, 1, $middle / 0.7071752369554196, $gain);
        $high = Biquad::bilinear(38.13547087602444, 0.5003270373238773, $rate, 0, 0, 1);
        $this->high = new Biquad(1, -2, 1, $high->a1, $high->a2);
    }

    /** @param  list<float>  $samples */
    public function take(array $samples): void
    {
        [$f, $h] = [$this->shelf, $this->high];
        [$f0, $f1, $f2, $g1, $g2] = [$f->b0, $f->b1, $f->b2, $f->a1, $f->a2];
        [$h1, $h2] = [$h->a1, $h->a2];
        [$p, $q, $r, $s] = $this->memory;
        [$sum, $plain, $counted, $step] = [$this->sum, $this->plainSum, $this->counted, $this->step];
        foreach ($samples as $x) {
            $y = $f0 * $x + $p;
            $p = $f1 * $x - $g1 * $y + $q;
            $q = $f2 * $x - $g2 * $y;
            $z = $y + $r;
            $r = -2 * $y - $h1 * $z + $s;
            $s = $y - $h2 * $z;
            $sum += $z * $z;
            $plain += $x * $x;
            if (++$counted === $step) {
                $this->powers[] = $sum / $step;
                $this->plain[] = $plain / $step;
                $sum = $plain = 0.0;
                $counted = 0;
            }
        }
        $this->memory = [$p, $q, $r, $s];
        [$this->sum, $this->plainSum, $this->counted] = [$sum, $plain, $counted];
    }

    /**
     * @param  non-empty-list<list<float>>  $channels  the powers of each channel of one track
     * @return float|null LUFS; null where nothing is louder than the gate, or less than 400 ms were recorded
     */
    public static function integrated(array $channels): ?float
    {
        $blocks = [];
        for ($at = 0; $at + self::STEPS_A_BLOCK <= count($channels[0]); $at++) {
            $power = 0.0;
            foreach ($channels as $powers) {
                for ($i = 0; $i < self::STEPS_A_BLOCK; $i++) {
                    $power += $powers[$at + $i] / self::STEPS_A_BLOCK;
                }
            }
            $blocks[] = $power;
        }
        $over = fn (float $gate): array => array_filter($blocks, fn (float $power) => self::of($power) > $gate);
        $mean = fn (array $some): float => array_sum($some) / count($some);
        $loud = $over(self::SILENT_LUFS);
        $heard = $loud === [] ? [] : $over(max(self::SILENT_LUFS, self::of($mean($loud)) - self::GATE_LU));

        return $heard === [] ? null : self::of($mean($heard));
    }

    private static function of(float $power): float
    {
        return $power <= 0.0 ? -INF : self::OFFSET_DB + 10 * log10($power);
    }
}

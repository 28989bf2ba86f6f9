<?php

declare(strict_types=1);

namespace HiddenWire\Core\Audio;

/** Coefficients of a filter of second order: y = b0 x + b1 x' + b2 x'' - a1 y' - a2 y''. */
final readonly class Biquad
{
    public function __construct(public float $b0, public float $b1, public float $b2, public float $a1, public float $a2)
    {
    }

    /**
     * From an analog one, by the bilinear transform: (n0 + n1 s + n2 s^2) / (1 + s/Q + s^2), s in units of a frequency, which is kept.
     *
     * @param  float  $hertz  the frequency
     * @param  float  $rate  samples a second
     */
    public static function bilinear(float $hertz, float $quality, float $rate, float $n0, float $n1, float $n2): self
    {
        $k = tan(M_PI * $hertz / $rate);
        $by = 1 + $k / $quality + $k * $k;

        return new self(
            ($n2 + $n1 * $k + $n0 * $k * $k) / $by,
            2 * ($n0 * $k * $k - $n2) / $by,
            ($n2 - $n1 * $k + $n0 * $k * $k) / $by,
            2 * ($k * $k - 1) / $by,
            (1 - $k / $quality + $k * $k) / $by,
        );
    }

    /** What power becomes of power at a frequency. */
    public function powerAt(float $hertz, float $rate): float
    {
        $w = 2 * M_PI * $hertz / $rate;
        $power = fn (float $c0, float $c1, float $c2): float => ($c0 + $c1 * cos($w) + $c2 * cos(2 * $w)) ** 2
            + ($c1 * sin($w) + $c2 * sin(2 * $w)) ** 2;

        return $power($this->b0, $this->b1, $this->b2) / $power(1, $this->a1, $this->a2);
    }
}

<?php

declare(strict_types=1);

namespace HiddenWire\Core\Audio;

/** The discrete Fourier transform of complex blocks of one size, a power of two. Cost: n log2 n. */
final readonly class Fft
{
    /** @var list<float> */
    private array $cos;

    /** @var list<float> */
    private array $sin;

    /** @var list<int> for each place, from where its value comes before the first stage */
    private array $order;

    /** @throws \LogicException of a size that is no power of two */
    public function __construct(public int $size)
    {
        if ($size < 2 || ($size & ($size - 1)) !== 0) {
            throw new \LogicException("A transform of {$size} is not a power of two");
        }
        $cos = $sin = [];
        for ($i = 0; $i < $size >> 1; $i++) {
            $cos[] = cos(2 * M_PI * $i / $size);
            $sin[] = -sin(2 * M_PI * $i / $size);
        }
        $order = [0];
        for ($half = $size >> 1; $half > 0; $half >>= 1) {
            foreach ($order as $at) {
                $order[] = $at + $half;
            }
        }
        [$this->cos, $this->sin, $this->order] = [$cos, $sin, $order];
    }

    /**
     * In place: X[k] = sum of x[n] exp(-2 pi i k n / size).
     *
     * @param  array<int, float>  $re
     * @param  array<int, float>  $im
     */
    public function forward(array &$re, array &$im): void
    {
        $size = $this->size;
        [$cos, $sin] = [$this->cos, $this->sin];
        [$x, $y] = [[], []];
        foreach ($this->order as $from) {
            $x[] = $re[$from];
            $y[] = $im[$from];
        }
        for ($half = 1, $step = $size >> 1; $half < $size; $half <<= 1, $step >>= 1) {
            for ($j = 0, $k = 0; $j < $half; $j++, $k += $step) {
                $c = $cos[$k];
                $s = $sin[$k];
                for ($a = $j; $a < $size; $a += $half << 1) {
                    $b = $a + $half;
                    $p = $x[$b] * $c - $y[$b] * $s;
                    $q = $x[$b] * $s + $y[$b] * $c;
                    $u = $x[$a];
                    $v = $y[$a];
                    $x[$b] = $u - $p;
                    $y[$b] = $v - $q;
                    $x[$a] = $u + $p;
                    $y[$a] = $v + $q;
                }
            }
        }
        [$re, $im] = [$x, $y];
    }
}

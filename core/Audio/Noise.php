<?php

declare(strict_types=1);

namespace HiddenWire\Core\Audio;

/**
 * Noise of a seed: the same seed gives the same noise on any machine. White, or with the spectrum that speech has in the long-term mean:
 * level from 120 to 500 Hz, 20 dB lower at 2 kHz and about 6 dB an octave above.
 */
final class Noise
{
    /** Of a sum of four uniform numbers from 0 to 65535. */
    private const SPREAD = 37_837.2;

    private const MEAN = 131_070.0;

    /** Of the two filters that make white noise like speech: where it begins, where it falls, and from where on it falls slower, Hz. */
    private const BEGINS = 90.0;

    private const FALLS = 520.0;

    private const SLOWER = 1_300.0;

    private const QUALITY = 0.9;

    private const HEARD_FROM = 20;

    private const HEARD_TO = 20_000;

    private int $state;

    /** @var array{float, float, float, float} what the filters remember */
    private array $memory = [0.0, 0.0, 0.0, 0.0];

    private readonly Biquad $low;

    private readonly Biquad $high;

    private readonly float $scale;

    /** @param  int  $rate  samples a second */
    public function __construct(int $seed, private readonly int $rate = 48_000)
    {
        $this->low = Biquad::bilinear(self::FALLS, self::QUALITY, $rate, 1, self::FALLS / self::SLOWER, 0);
        $this->high = Biquad::bilinear(self::BEGINS, M_SQRT1_2, $rate, 0, 0, 1);
        $power = 0.0;
        for ($hertz = self::HEARD_FROM; $hertz < min(self::HEARD_TO, $rate / 2); $hertz += self::HEARD_FROM) {
            $power += $this->speechPower($hertz) * self::HEARD_FROM;
        }
        $this->scale = 1 / sqrt($power / ($rate / 2));
        $this->state = ($seed * 2_654_435_761 + 88_675_123) & 0xFFFFFFFF;
        if ($this->state === 0) {
            $this->state = 1;
        }
        $this->white(16);
    }

    /** @return list<float> almost Gaussian, RMS 1 */
    public function white(int $count): array
    {
        $state = $this->state;
        $noise = [];
        for ($i = 0; $i < $count; $i++) {
            $state ^= ($state << 13) & 0xFFFFFFFF;
            $state ^= $state >> 17;
            $state ^= ($state << 5) & 0xFFFFFFFF;
            $sum = ($state & 0xFFFF) + ($state >> 16);
            $state ^= ($state << 13) & 0xFFFFFFFF;
            $state ^= $state >> 17;
            $state ^= ($state << 5) & 0xFFFFFFFF;
            $noise[] = ($sum + ($state & 0xFFFF) + ($state >> 16) - self::MEAN) / self::SPREAD;
        }
        $this->state = $state;

        return $noise;
    }

    /** @return list<float> like speech, RMS 1 from 20 Hz to 20 kHz */
    public function speech(int $count): array
    {
        $noise = $this->white($count);
        [$low, $high, $scale] = [$this->low, $this->high, $this->scale];
        [$a0, $a1, $a2, $c1, $c2] = [$low->b0 * $scale, $low->b1 * $scale, $low->b2 * $scale, $low->a1, $low->a2];
        [$b0, $b1, $b2, $d1, $d2] = [$high->b0, $high->b1, $high->b2, $high->a1, $high->a2];
        [$p, $q, $r, $s] = $this->memory;
        $speech = [];
        foreach ($noise as $x) {
            $y = $a0 * $x + $p;
            $p = $a1 * $x - $c1 * $y + $q;
            $q = $a2 * $x - $c2 * $y;
            $z = $b0 * $y + $r;
            $r = $b1 * $y - $d1 * $z + $s;
            $s = $b2 * $y - $d2 * $z;
            $speech[] = $z;
        }
        $this->memory = [$p, $q, $r, $s];

        return $speech;
    }

    /** What the filters make of power at a frequency, not scaled. */
    private function speechPower(float $hertz): float
    {
        return $this->low->powerAt($hertz, $this->rate) * $this->high->powerAt($hertz, $this->rate);
    }
}

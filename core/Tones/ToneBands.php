<?php

declare(strict_types=1);

namespace HiddenWire\Core\Tones;

use HiddenWire\Core\Audio\FilterBank;

/** Where in a filter bank the tones of signatures, and hum with its harmonics, lie. */
final readonly class ToneBands
{
    /** Sound is taken down to about so many samples a second before. */
    private const ABOUT_HZ = 16_000;

    private const LEAST_HZ = 14_000;

    /** Nothing above is looked at. */
    public const PASS_HZ = 6_100.0;

    public const HARMONICS = 6;

    private const GAINS = 100;

    public int $by;

    public float $rate;

    /** Of the transform. */
    public int $size;

    /** Hz from band to band, and frames a second. */
    public float $width;

    /** @var list<int> the bands that are kept */
    public array $bands;

    /** @var array<int, int> which of those kept is a band */
    private array $places;

    /** @var list<float> what a band leaves of a tone, by its distance from the middle, in hundredths of a band */
    private array $gains;

    /** @param  list<Signature>  $signatures  that are looked for */
    public function __construct(int $rate, public array $signatures)
    {
        for ($by = max(1, (int) round($rate / self::ABOUT_HZ)); $by > 1 && $rate / $by < self::LEAST_HZ; $by--) {
        }
        $this->by = $by;
        $this->rate = $rate / $by;
        $this->size = $this->rate > 1.1 * self::ABOUT_HZ ? 4_096 : 2_048;
        $this->width = $this->rate / $this->size;
        $bands = [];
        foreach ($signatures as $signature) {
            foreach ($signature->tones as $hertz) {
                $bands[(int) round($hertz / $this->width)] = true;
            }
        }
        foreach ([50, 60] as $mains) {
            for ($i = 1; $i <= self::HARMONICS; $i++) {
                $bands[(int) round($mains * $i / $this->width)] = true;
            }
        }
        $bank = new FilterBank($this->size);
        $this->gains = array_map(fn (int $i) => $bank->gainBeside($i / self::GAINS), range(0, self::GAINS / 2 + 1));
        $this->bands = array_keys($bands);
        $this->places = array_flip($this->bands);
    }

    /** The index of the band that contains a frequency, among those kept. */
    public function place(float $hertz): int
    {
        return $this->places[(int) round($hertz / $this->width)];
    }

    /** What its band leaves of a frequency. */
    public function gain(float $hertz): float
    {
        $beside = abs($hertz / $this->width - round($hertz / $this->width));
        $at = (int) ($beside * self::GAINS);
        $between = $beside * self::GAINS - $at;

        return $this->gains[$at] * (1 - $between) + $this->gains[$at + 1] * $between;
    }

    /** When the middle of a frame was recorded, s, by its number. */
    public function seconds(int|float $frame): float
    {
        return ($frame + FilterBank::FOLDS / 2) / $this->width;
    }
}

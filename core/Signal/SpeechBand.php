<?php

declare(strict_types=1);

namespace HiddenWire\Core\Signal;

/**
 * What copies of a sound that come within a tenth of a millisecond come to, some with turned polarity. A copy that is turned and t late
 * cancels as far as 2 sin(pi f t) says: the bass goes, the treble stays. So that is weighed over 100 Hz to 8 kHz, the range of speech, on a
 * logarithmic grid and without weights: as much for each octave.
 */
final class SpeechBand
{
    private const FROM_HZ = 100.0;

    private const TO_HZ = 8000.0;

    /** Steps of about a tenth of an octave: the power mean is right to a hundredth of a decibel. */
    private const STEPS = 60;

    /** @var list<float>|null radians a microsecond */
    private static ?array $grid = null;

    /** @var array<int, float> mean of cos(2 pi f t) over the grid, by t in microseconds */
    private static array $cosines = [];

    /**
     * The mean power.
     *
     * @param  array<int, float>  $taps  signed amplitude by microseconds
     */
    public static function mean(array $taps): float
    {
        $power = 0.0;
        foreach ($taps as $at => $one) {
            foreach ($taps as $when => $other) {
                $power += $one * $other * self::cosine(abs($at - $when));
            }
        }

        return max(0.0, $power);
    }

    /**
     * The power at the frequency where it is largest.
     *
     * @param  array<int, float>  $taps  signed amplitude by microseconds
     */
    public static function most(array $taps): float
    {
        $most = 0.0;
        $begin = array_key_first($taps);
        foreach (self::grid() as $omega) {
            $re = $im = 0.0;
            foreach ($taps as $at => $amplitude) {
                $re += $amplitude * cos($omega * ($at - $begin));
                $im += $amplitude * sin($omega * ($at - $begin));
            }
            $most = max($most, $re * $re + $im * $im);
        }

        return $most;
    }

    private static function cosine(int $apart): float
    {
        return self::$cosines[$apart]
            ??= array_sum(array_map(fn (float $omega) => cos($omega * $apart), self::grid())) / self::STEPS;
    }

    /** @return list<float> radians a microsecond, in the middle of each step */
    private static function grid(): array
    {
        return self::$grid ??= array_map(
            fn (int $step) => 2e-6 * M_PI * self::FROM_HZ * (self::TO_HZ / self::FROM_HZ) ** (($step + 0.5) / self::STEPS),
            range(0, self::STEPS - 1),
        );
    }
}

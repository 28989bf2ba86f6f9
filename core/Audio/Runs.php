<?php

declare(strict_types=1);

namespace HiddenWire\Core\Audio;

/**
 * Samples that do not change: at the top of a wave they are clipped, in its middle they are missing. Besides, a number for what is on a
 * channel, the same for the same samples. One channel; at most so many of each kind are kept.
 */
final class Runs
{
    private const CLIPPED_SAMPLES = 3;

    /** Below this no wave is taken for clipped, whatever its form. */
    private const LOUD = 0.1;

    private const MISSING_SECONDS = 0.002;

    private const MOST = 2_000;

    /** A prime, so that a shifted copy has another number. */
    private const TURN = 1_009;

    /** How near the highest sample a flat top is. */
    private const TOP = 0.97;

    /** @var list<array{int, int, float}> loud or long ones: the first sample, how many, which value */
    private array $runs = [];

    /** The same for channels with the same samples. */
    public float $mark = 0.0;

    private float $last = 0.0;

    private int $length = 0;

    private int $at = 0;

    private readonly int $missing;

    public function __construct(int $rate)
    {
        $this->missing = (int) round($rate * self::MISSING_SECONDS);
    }

    /** @param  list<float>  $samples */
    public function take(array $samples): void
    {
        [$last, $length, $at, $mark] = [$this->last, $this->length, $this->at, $this->mark];
        $turn = $at % self::TURN;
        foreach ($samples as $x) {
            if ($x === $last) {
                $length++;
            } else {
                if ($length >= self::CLIPPED_SAMPLES) {
                    $this->note($at, $length, $last);
                }
                $length = 1;
                $last = $x;
            }
            $mark += $x * $turn;
            if (++$turn === self::TURN) {
                $turn = 0;
            }
            $at++;
        }
        [$this->last, $this->length, $this->at, $this->mark] = [$last, $length, $at, $mark];
    }

    /**
     * @param  float  $peak  the highest sample
     * @return list<array{int, int}> flat tops, where the wave was cut off: the first sample, how many
     */
    public function clipped(float $peak): array
    {
        return $this->those(fn (array $run) => self::isTop($run, $peak));
    }

    /**
     * @param  float  $peak  the highest sample
     * @return list<array{int, int}> unchanged samples of at least 2 ms, between others: the first, how many
     */
    public function holes(float $peak): array
    {
        return $this->those(fn (array $run) => $run[1] >= $this->missing && ! self::isTop($run, $peak));
    }

    /** @param  array{int, int, float}  $run */
    private static function isTop(array $run, float $peak): bool
    {
        return abs($run[2]) > max(self::LOUD, self::TOP * $peak);
    }

    /**
     * @param  callable(array{int, int, float}): bool  $wanted
     * @return list<array{int, int}>
     */
    private function those(callable $wanted): array
    {
        return array_map(fn (array $run) => [$run[0], $run[1]], array_values(array_filter($this->runs, $wanted)));
    }

    private function note(int $end, int $length, float $value): void
    {
        if (($length >= $this->missing || abs($value) > self::LOUD) && count($this->runs) < self::MOST) {
            $this->runs[] = [$end - $length, $length, $value];
        }
    }
}

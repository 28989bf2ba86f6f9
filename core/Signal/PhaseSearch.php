<?php

declare(strict_types=1);

namespace HiddenWire\Core\Signal;

/**
 * A large spectral radius of a small matrix whose entries have free phases by delay: from several beginnings, one phase after another, in
 * ever finer steps. A local search: what it finds is a lower bound of the largest.
 */
final class PhaseSearch
{
    /** @var list<array{int, int, int, float}> row, column, number of the phase (0 is fixed), amplitude */
    private array $entries = [];

    private int $size;

    private int $phases;

    private int $work;

    /** @param  array<int, array<int, array<int, float>>>  $matrix  signed amplitude by row, column, key */
    public function __construct(array $matrix, int $work, private readonly int $squarings)
    {
        $numbers = $phases = [];
        foreach ($matrix as $from => $row) {
            foreach ($row as $to => $entry) {
                foreach ($entry as $key => $amplitude) {
                    $numbers[$from] ??= count($numbers);
                    $numbers[$to] ??= count($numbers);
                    $phases[$key] ??= count($phases);
                    $this->entries[] = [$numbers[$from], $numbers[$to], $phases[$key], $amplitude];
                }
            }
        }
        $this->size = count($numbers);
        $this->phases = count($phases);
        $this->work = $work;
    }

    /** Whether there is nothing to search, so that the largest is the largest; else there may be larger ones than were found. */
    public function isExact(): bool
    {
        return $this->phases === 1;
    }

    /** Null where the matrix is too large for the work allowed. The first phase stays as it is: only differences matter. */
    public function largest(): ?float
    {
        // Each beginning costs a sweep of 8 directions a phase, then finer ones.
        if (! $this->canAfford($this->phases === 1 ? 1 : 12 * $this->phases)) {
            return null;
        }
        if ($this->phases === 1) {
            return $this->radius([0.0]);
        }
        $best = 0.0;
        foreach ([0.0, M_PI, 1.0, 2.4] as $number => $beginning) {
            if ($number > 0 && ! $this->canAfford(12 * $this->phases)) {
                break;
            }
            $angles = array_map(fn (int $phase) => $phase * $beginning, range(0, $this->phases - 1));
            $here = $this->radius($angles);
            foreach ([M_PI / 4, M_PI / 16, M_PI / 64, M_PI / 512] as $step) {
                $moved = true;
                for ($sweep = 0; $moved && $sweep < 3 && $this->canAfford(9 * $this->phases); $sweep++) {
                    [$here, $angles, $moved] = $this->swept($here, $angles, $step);
                }
            }
            $best = max($best, $here);
        }

        return $best;
    }

    /**
     * @param  array<int, float>  $angles  by phase
     * @return array{float, array<int, float>, bool}
     */
    private function swept(float $here, array $angles, float $step): array
    {
        $moved = false;
        for ($phase = 1; $phase < $this->phases; $phase++) {
            $from = $angles[$phase];
            foreach ([-4, -3, -2, -1, 1, 2, 3, 4] as $steps) {
                $tried = $angles;
                $tried[$phase] = $from + $steps * $step;
                $radius = $this->radius($tried);
                if ($radius > $here * (1 + 1e-9)) {
                    [$here, $angles, $moved] = [$radius, $tried, true];
                }
            }
        }

        return [$here, $angles, $moved];
    }

    private function canAfford(int $radii): bool
    {
        return $radii * 4 * $this->size ** 3 * $this->squarings <= $this->work;
    }

    /**
     * By repeated squaring: the size of a high power tells how much one power grows.
     *
     * @param  array<int, float>  $angles  by phase
     */
    private function radius(array $angles): float
    {
        $n = $this->size;
        $this->work -= 4 * $n ** 3 * $this->squarings;
        $re = $im = array_fill(0, $n * $n, 0.0);
        foreach ($this->entries as [$row, $column, $phase, $amplitude]) {
            $re[$row * $n + $column] += $amplitude * cos($angles[$phase]);
            $im[$row * $n + $column] += $amplitude * sin($angles[$phase]);
        }
        $log = 0.0;
        $power = 1;
        for ($squaring = 0; ; $squaring++) {
            $norm = 0.0;
            foreach ($re as $i => $value) {
                $norm += $value * $value + $im[$i] * $im[$i];
            }
            $norm = sqrt($norm);
            // What is left of entries that cancel to nothing is rounding.
            if ($norm < 1e-12) {
                return 0.0;
            }
            $log += log($norm) / $power;
            foreach ($re as $i => $value) {
                $re[$i] = $value / $norm;
                $im[$i] /= $norm;
            }
            if ($squaring === $this->squarings) {
                return exp($log);
            }
            [$re, $im] = $this->squared($re, $im);
            $power *= 2;
        }
    }

    /**
     * @param  array<int, float>  $re
     * @param  array<int, float>  $im
     * @return array{array<int, float>, array<int, float>}
     */
    private function squared(array $re, array $im): array
    {
        $n = $this->size;
        $sumRe = $sumIm = array_fill(0, $n * $n, 0.0);
        for ($i = 0; $i < $n; $i++) {
            for ($k = 0; $k < $n; $k++) {
                [$a, $b] = [$re[$i * $n + $k], $im[$i * $n + $k]];
                if ($a === 0.0 && $b === 0.0) {
                    continue;
                }
                for ($j = 0; $j < $n; $j++) {
                    [$c, $d] = [$re[$k * $n + $j], $im[$k * $n + $j]];
                    $sumRe[$i * $n + $j] += $a * $c - $b * $d;
                    $sumIm[$i * $n + $j] += $a * $d + $b * $c;
                }
            }
        }

        return [$sumRe, $sumIm];
    }
}

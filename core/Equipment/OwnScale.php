<?php

declare(strict_types=1);

namespace HiddenWire\Core\Equipment;

use HiddenWire\Core\Quantity\Decibels;

/** The scale that is printed at a knob or fader, and what its marks come to in dB; between two marks it runs straight. */
final readonly class OwnScale
{
    /**
     * @param  string  $unit  "%", "steps", "o'clock"; empty for plain numbers
     * @param  non-empty-list<array{float, float}>  $marks  (mark, dB), both rising
     */
    public function __construct(public string $unit, public array $marks)
    {
    }

    /** Whether the marks rise on both sides, and there are two or more: only then can it be read both ways. */
    public function isReadable(): bool
    {
        for ($i = 1; $i < count($this->marks); $i++) {
            if ($this->marks[$i][0] <= $this->marks[$i - 1][0] || $this->marks[$i][1] <= $this->marks[$i - 1][1]) {
                return false;
            }
        }

        return count($this->marks) > 1;
    }

    /** The mark at a level, to a tenth. */
    public function markOf(Decibels $db): float
    {
        return round(self::between(array_map(fn (array $mark) => [$mark[1], $mark[0]], $this->marks), $db->value()), 1);
    }

    /** The level at a mark, to a tenth of a dB. */
    public function levelOf(float $mark): Decibels
    {
        return Decibels::of(round(self::between($this->marks, $mark), 1));
    }

    /** "70 %" */
    public function words(Decibels $db): string
    {
        return trim("{$this->markOf($db)} {$this->unit}");
    }

    /** @param  non-empty-list<array{float, float}>  $marks */
    private static function between(array $marks, float $at): float
    {
        foreach ($marks as $i => [$x, $y]) {
            if ($at <= $x) {
                [$x0, $y0] = $marks[max(0, $i - 1)];

                return $x === $x0 ? $y : $y0 + ($y - $y0) * ($at - $x0) / ($x - $x0);
            }
        }

        return $marks[count($marks) - 1][1];
    }
}

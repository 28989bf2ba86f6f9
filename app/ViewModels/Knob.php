<?php

declare(strict_types=1);

namespace App\ViewModels;

use HiddenWire\Core\Equipment\Dials\Scale;
use HiddenWire\Core\Equipment\OwnScale;
use HiddenWire\Core\Quantity\Decibels;

/** A knob or fader of a point with its value and the scale that is printed at it, where the model gives it. */
final readonly class Knob
{
    public function __construct(
        public string $field,
        public string $name,
        public int|float|bool $value,
        public Scale $scale,
        public ?OwnScale $own = null,
    ) {
    }

    /** The mark printed at its position. */
    public function mark(): float
    {
        return $this->own === null || is_bool($this->value) ? 0.0 : $this->own->markOf(Decibels::of($this->value));
    }

    /** How far it is turned up, from 0 to 1: on the printed scale where there is one. */
    public function share(): float
    {
        [$from, $to] = $this->own === null ? [$this->scale->from, $this->scale->to] : $this->marks();
        $at = $this->own === null ? (float) $this->value : $this->mark();

        return $to <= $from ? 0.0 : round(max(0.0, min(1.0, ($at - $from) / ($to - $from))), 3);
    }

    /** @return list<float> where marks are printed, from 0 to 1; quarters where the scale is not known */
    public function ticks(): array
    {
        if ($this->own === null) {
            return [0.0, 0.25, 0.5, 0.75, 1.0];
        }
        [$from, $to] = $this->marks();

        return array_map(fn (array $mark) => round(($mark[0] - $from) / max(1e-9, $to - $from), 3), $this->own->marks);
    }

    /** The printed marks as a path along a lying line. */
    public function marksPath(int $length): string
    {
        return implode('', array_map(fn (float $at) => 'M'.round($length * $at, 1).',-4V4', $this->ticks()));
    }

    /** @return array{float, float} the first and the last mark */
    public function marks(): array
    {
        $marks = $this->own->marks ?? [[0.0, 0.0]];

        return [$marks[0][0], $marks[count($marks) - 1][0]];
    }
}

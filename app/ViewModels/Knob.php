<?php

declare(strict_types=1);

namespace App\ViewModels;

use HiddenWire\Core\Equipment\Dials\Scale;
use HiddenWire\Core\Equipment\OwnScale;
use HiddenWire\Core\Quantity\Decibels;

/** A knob or fader of a point as it stands; with the scale that is printed at it, where the model gives it. */
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

    /** What is printed where it stands. */
    public function mark(): float
    {
        return $this->own === null || is_bool($this->value) ? 0.0 : $this->own->markOf(Decibels::of($this->value));
    }

    /** @return array{float, float} the first and the last mark */
    public function marks(): array
    {
        $marks = $this->own->marks ?? [[0.0, 0.0]];

        return [$marks[0][0], $marks[count($marks) - 1][0]];
    }
}

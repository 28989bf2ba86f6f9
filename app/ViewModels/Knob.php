<?php

declare(strict_types=1);

namespace App\ViewModels;

use HiddenWire\Core\Equipment\Controls\Scale;

/** A knob or fader of a point as it stands. */
final readonly class Knob
{
    public function __construct(public string $field, public string $name, public int|float|bool $value, public Scale $scale)
    {
    }
}

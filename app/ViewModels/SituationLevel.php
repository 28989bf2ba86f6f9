<?php

declare(strict_types=1);

namespace App\ViewModels;

use HiddenWire\Core\Equipment\Dials\Scale;

/** A number that a situation sets: the form's fields, the one that is typed, its current value, and its range. */
final readonly class SituationLevel
{
    /** @param  array<string, string>  $fields */
    public function __construct(public array $fields, public string $name, public float $value, public Scale $scale)
    {
    }
}

<?php

declare(strict_types=1);

namespace HiddenWire\Core\Quantity;

/** A number of things in words: "1 channel", "2 channels". */
final class Count
{
    public static function of(int $number, string $one, ?string $many = null): string
    {
        return $number.' '.($number === 1 ? $one : $many ?? "{$one}s");
    }
}

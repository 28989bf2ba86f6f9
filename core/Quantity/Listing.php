<?php

declare(strict_types=1);

namespace HiddenWire\Core\Quantity;

/** Things in a row, as a sentence has them: "Mic 1, Mic 2 and Music". */
final class Listing
{
    /**
     * @param  array<array-key, string|int>  $things
     * @param  int  $named  at most so many are named: "Mic 1, Mic 2 and 4 more"
     */
    public static function of(array $things, int $named = PHP_INT_MAX): string
    {
        $further = count($things) - $named;
        $said = $further > 0 ? [...array_slice($things, 0, $named), "{$further} more"] : array_values($things);
        $last = (string) array_pop($said);

        return $said === [] ? $last : implode(', ', $said)." and {$last}";
    }
}

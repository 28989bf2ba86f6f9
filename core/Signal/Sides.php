<?php

declare(strict_types=1);

namespace HiddenWire\Core\Signal;

/** Names for where in an ear something arrives. */
final class Sides
{
    /**
     * @param  list<int>  $channels  of the ear, from 0
     * @return string mono, left, right, both, or channel numbers where the ear has more than two
     */
    public static function of(array $channels, int $width): string
    {
        sort($channels);

        return match (true) {
            $channels === [] => '',
            $width === 1 => 'mono',
            $channels === [0] && $width === 2 => 'left',
            $channels === [1] && $width === 2 => 'right',
            $channels === [0, 1] => 'both',
            default => implode(',', array_map(fn (int $channel) => $channel + 1, $channels)),
        };
    }

    /**
     * All ears of a listener together.
     *
     * @param  list<string>  $sides
     */
    public static function together(array $sides): string
    {
        $sides = array_values(array_unique(array_filter($sides, fn (string $side) => $side !== '')));
        sort($sides);

        return match (true) {
            count($sides) === 1 => $sides[0],
            $sides === [] => '',
            in_array('both', $sides, true) || $sides === ['left', 'right'] => 'both',
            default => implode(' + ', $sides),
        };
    }
}

<?php

declare(strict_types=1);

namespace HiddenWire\Core\Planning;

use HiddenWire\Core\Rig\Want;
use HiddenWire\Core\Signal\HeardPair;

/** What else a change does to a cell that it does not bring to its wish: it was there before, or is not after it either. */
final class SideEffect
{
    /** Levels that move by less are not worth a word. */
    private const NOTICED_DB = 3.0;

    /** "Music at Viewers gets 6.0 dB softer"; empty where nothing is worth a word. */
    public static function words(HeardPair $was, HeardPair $is): string
    {
        $what = "{$was->source->name} at {$was->listener->name}";
        [$before, $after] = [$was->level()?->value(), $is->level()?->value()];

        return match (true) {
            // What it has too much of is gained, not lost.
            $is->wish?->want === Want::MustNot && ($after === null || ($before !== null && $after < $before)) => '',
            $after === null => $before === null ? '' : "{$what} is no longer heard",
            $before === null => $was->wish?->want === Want::May ? '' : "{$what} is heard too",
            abs($after - $before) >= self::NOTICED_DB => "{$what} gets ".number_format(abs($after - $before), 1).' dB '
                .($after > $before ? 'louder' : 'quieter'),
            default => '',
        };
    }
}

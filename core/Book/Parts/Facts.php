<?php

declare(strict_types=1);

namespace HiddenWire\Core\Book\Parts;

use HiddenWire\Core\Book\BookInput;
use HiddenWire\Core\Book\Part;
use HiddenWire\Core\Book\Table;
use HiddenWire\Core\Quantity\Count;
use HiddenWire\Core\Rig\Fact;
use HiddenWire\Core\Rig\Measure;

/** What the plan relies on and how sure that is, and what was measured or is wanted: noise of places, distances, cards, lengths. */
final class Facts implements Part
{
    public function key(): string
    {
        return 'facts';
    }

    public function title(): string
    {
        return 'Facts and figures';
    }

    public function blocks(BookInput $of): array
    {
        $facts = array_values(array_map(fn (Fact $fact) => [
            $fact->subject($of->rig), $fact->what, $fact->certainty->words(), self::source($fact),
            $fact->proof.($fact->minutes === null ? '' : ($fact->proof === '' ? '' : ', ').Count::of($fact->minutes, 'minute')),
        ], $of->rig->papers->facts));
        $figures = array_values(array_map(
            fn (Measure $measure) => [$measure->about->words($of->rig), $measure->words()],
            $of->rig->papers->measures,
        ));

        return [
            ...($facts === [] ? [] : [
                new Table(['About', 'What', 'How sure', 'By', 'How to prove it'], $facts, [1.4, 1.8, 1.1, 1.1, 1.6]),
            ]),
            ...($figures === [] ? [] : [new Table(['Of', 'Figure'], $figures, [2, 3])]),
        ];
    }

    /** "Ann, 2026-02-01, firmware 1.2" */
    private static function source(Fact $fact): string
    {
        return implode(', ', array_filter([$fact->by, $fact->on, $fact->firmware === '' ? '' : "firmware {$fact->firmware}"]));
    }
}

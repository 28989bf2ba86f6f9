<?php

declare(strict_types=1);

namespace HiddenWire\Core\Book\Parts;

use HiddenWire\Core\Book\BookInput;
use HiddenWire\Core\Book\Part;
use HiddenWire\Core\Book\PickWords;
use HiddenWire\Core\Book\Table;
use HiddenWire\Core\Rig\Pick;
use HiddenWire\Core\Rig\SystemLevel;

/** Which device each program's ins and outs use. */
final class Picks implements Part
{
    public function key(): string
    {
        return 'picks';
    }

    public function title(): string
    {
        return 'What programs use';
    }

    public function blocks(BookInput $of): array
    {
        $rows = array_values(array_map(fn (Pick $pick) => self::row($pick, $of), $of->rig->picks));

        return $rows === [] ? [] : [new Table(
            ['Program', 'In or out', 'Device', 'Channels', 'In the system'],
            $rows,
            [1.5, 1.5, 2, 0.8, 1.1],
        )];
    }

    /** @return list<string> */
    private static function row(Pick $pick, BookInput $of): array
    {
        return [
            $of->rig->units[$pick->at->unit]->name, $of->rig->point($pick->at)->label, PickWords::of($pick, $of),
            $pick->channels === null ? 'all' : implode(', ', $pick->channels),
            SystemLevel::said($pick->db, $pick->mute ? true : null),
        ];
    }
}

<?php

declare(strict_types=1);

namespace HiddenWire\Core\Book\Parts;

use HiddenWire\Core\Book\BookInput;
use HiddenWire\Core\Book\Figure;
use HiddenWire\Core\Book\Heading;
use HiddenWire\Core\Book\Part;
use HiddenWire\Core\Book\Table;
use HiddenWire\Core\Rig\Control;
use HiddenWire\Core\Rig\ControlNames;

/** One large sheet for the wall: the map, who hears what in the default, and what the hands have that night. */
final class WallSheet implements Part
{
    public const KEY = 'wall';

    public function key(): string
    {
        return self::KEY;
    }

    public function title(): string
    {
        return 'Wall sheet';
    }

    public function blocks(BookInput $of): array
    {
        if ($of->rig->units === []) {
            return [];
        }
        $names = new ControlNames($of->rig);
        $controls = array_values(array_map(fn (Control $control) => [
            $control->legend === '' ? $control->name : "{$control->legend} ({$control->name})", $names->place($control),
            $control->goesTo() === [] ? implode('; ', array_map($names->move(...), $control->moves)) : 'goes to '.implode(', ', array_map(
                fn (string $id) => $of->rig->situations[$id]->name,
                $control->goesTo(),
            )),
        ], $of->rig->controls));

        return [
            new Figure(self::KEY, (new Maps)->captionOf('cables')),
            ...(new WhoHearsWhat)->of($of, $of->rig->base()),
            ...($controls === [] ? [] : [new Heading('Controls'), new Table(['Label', 'Where', 'What it does'], $controls, [1.3, 1.2, 3])]),
        ];
    }
}

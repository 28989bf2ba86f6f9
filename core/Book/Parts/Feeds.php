<?php

declare(strict_types=1);

namespace HiddenWire\Core\Book\Parts;

use HiddenWire\Core\Book\BookInput;
use HiddenWire\Core\Book\Part;
use HiddenWire\Core\Book\Table;
use HiddenWire\Core\Devices\Device;

/** One row a feed: what one sound device is called at each stage, from the print on a socket to the program that uses it. */
final class Feeds implements Part
{
    public function key(): string
    {
        return 'feeds';
    }

    public function title(): string
    {
        return 'What one feed is called at each stage';
    }

    public function blocks(BookInput $of): array
    {
        $rows = [];
        foreach ($of->rig->picks as $pick) {
            $host = $of->rig->hostOf($of->rig->units[$pick->at->unit]->place);
            $device = $of->hearing()->graph()->picked($of->rig->units[$pick->at->unit], $of->rig->point($pick->at));
            if ($host === null || $device === null) {
                continue;
            }
            $rows[] = [
                $of->rig->units[$device->ref->unit]->name,
                $this->print($device, $of),
                $of->rig->modelOf($device->ref->unit)->points[$device->point]->label,
                $device->systemName,
                $device->name() === $device->systemName ? '' : $device->name(),
                "{$of->rig->units[$pick->at->unit]->name}: {$of->rig->point($pick->at)->label}",
                $host->name,
            ];
        }

        return $rows === [] ? [] : [new Table(
            ['Unit', 'Socket', 'Inside the unit', 'In the system', 'Name given', 'In the program', 'Computer'],
            $rows,
            [1.2, 1, 1.2, 1.5, 1.2, 1.6, 1.2],
        )];
    }

    /** What is printed on the socket by which the device comes. */
    private function print(Device $device, BookInput $of): string
    {
        return $device->ref->lane === null ? '' : $of->rig->modelOf($device->ref->unit)->sockets[$device->ref->givenBy]->label;
    }
}

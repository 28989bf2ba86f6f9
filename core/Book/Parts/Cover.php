<?php

declare(strict_types=1);

namespace HiddenWire\Core\Book\Parts;

use HiddenWire\Core\Book\BookInput;
use HiddenWire\Core\Book\Part;
use HiddenWire\Core\Book\Table;
use HiddenWire\Core\Book\Text;
use HiddenWire\Core\Quantity\Count;
use HiddenWire\Core\Quantity\Listing;
use HiddenWire\Core\Rig\Situation;

/** What the rig is for, and its current state. */
final class Cover implements Part
{
    public function key(): string
    {
        return 'cover';
    }

    public function title(): string
    {
        return 'About this rig';
    }

    public function blocks(BookInput $of): array
    {
        $rig = $of->rig;
        $stands = function (Situation $situation) use ($of): string {
            $odds = 0;
            foreach ($of->hearing($situation->id)->all() as $pair) {
                $odds += $pair->verdict->isAtOdds() ? 1 : 0;
            }

            return match (true) {
                $odds > 0 => "{$odds} not as wished", $of->rig->wishes === [] => 'no wishes yet', default => 'all as wished',
            };
        };

        return [
            ...($rig->summary === '' ? [] : [new Text($rig->summary)]),
            ...($rig->days === null ? [] : [new Text("Used on {$rig->days->words()}.")]),
            new Text(ucfirst(Listing::of([
                Count::of(count($rig->places), 'place'), Count::of(count($rig->units), 'unit or program', 'units and programs'),
                Count::of(count($rig->cables), 'cable'), Count::of(count($rig->sources), 'sound'),
                Count::of(count($rig->listeners), 'listener'),
            ])).'.'),
            new Table(['Situation', 'Stands'], array_values(array_map(
                fn (Situation $one) => [$one->name, $stands($one)],
                $rig->situations,
            )), [3, 2]),
        ];
    }
}

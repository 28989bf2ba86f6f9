<?php

declare(strict_types=1);

namespace HiddenWire\Core\Book\Parts;

use HiddenWire\Core\Book\Block;
use HiddenWire\Core\Book\BookInput;
use HiddenWire\Core\Book\Heading;
use HiddenWire\Core\Book\Part;
use HiddenWire\Core\Book\Table;
use HiddenWire\Core\Book\Text;
use HiddenWire\Core\Quantity\Listing;
use HiddenWire\Core\Rig\Picture;
use HiddenWire\Core\Rig\Scene;
use HiddenWire\Core\Rig\Unit;

/** What is heard and seen in which scene of a broadcast program, and how late its pictures come. */
final class Scenes implements Part
{
    public function key(): string
    {
        return 'scenes';
    }

    public function title(): string
    {
        return 'Scenes and pictures';
    }

    public function blocks(BookInput $of): array
    {
        $blocks = [];
        foreach ($of->rig->units as $unit) {
            if ($unit->scenes !== [] || $unit->pictures !== [] || $unit->always !== []) {
                array_push($blocks, new Heading($unit->name), ...self::unit($of, $unit));
            }
        }

        return $blocks;
    }

    /** @return list<Block> */
    private static function unit(BookInput $of, Unit $unit): array
    {
        $points = $of->rig->modelOf($unit)->points;
        $labels = fn (array $ids): string => implode('; ', array_map(fn (string $id) => $points[$id]->label, $ids));
        $names = array_column($unit->pictures, 'name', 'id');

        return [
            ...($unit->scenes === [] ? [] : [new Table(['Scene', 'Sounds', 'Pictures'], array_map(fn (Scene $scene) => [
                $scene->name, $labels($scene->sources), implode('; ', array_map(fn (string $id) => $names[$id], $scene->pictures)),
            ], $unit->scenes), [1, 2, 2])]),
            ...($unit->always === [] ? [] : [new Text('In every scene: '.Listing::of(array_map(
                fn (string $id) => $points[$id]->label,
                $unit->always,
            )).'.')]),
            ...($unit->pictures === [] ? [] : [new Table(['Picture', 'Late by', 'Sound', 'In scenes'], array_map(
                fn (Picture $picture) => [
                    $picture->name, $picture->delay === null ? '' : "{$picture->delay->text()} ms",
                    $picture->sound === null ? 'none' : $points[$picture->sound]->label,
                    $picture->sound === null ? '' : ($picture->isTied ? 'its sound goes with it' : 'its sound stands by itself'),
                ],
                $unit->pictures,
            ), [1.4, 0.8, 1.4, 1.6])]),
        ];
    }
}

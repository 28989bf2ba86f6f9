<?php

declare(strict_types=1);

namespace HiddenWire\Core\Book\Parts;

use HiddenWire\Core\Book\BookInput;
use HiddenWire\Core\Book\Heading;
use HiddenWire\Core\Book\Part;
use HiddenWire\Core\Book\Plugs;
use HiddenWire\Core\Book\Table;
use HiddenWire\Core\Equipment\CableType;
use HiddenWire\Core\Equipment\Family;
use HiddenWire\Core\Quantity\Count;
use HiddenWire\Core\Quantity\Price;
use HiddenWire\Core\Rig\Cable;
use HiddenWire\Core\Rig\Unit;

/** What has to be bought or found: cables by type and length, and the small parts between them. */
final class Shopping implements Part
{
    private const SMALL_PARTS = [Family::Adapter, Family::Isolator, Family::Splitter, Family::Booster, Family::Hub, Family::Converter];

    public function key(): string
    {
        return 'shopping';
    }

    public function title(): string
    {
        return 'Shopping list';
    }

    public function blocks(BookInput $of): array
    {
        [$cables, $parts, $others] = [$this->cables($of), $this->parts($of), $this->others($of)];
        $prices = [
            ...array_map(fn (Cable $cable) => $cable->price, $this->toBuy($of)),
            ...array_map(fn (Unit $unit) => $unit->price, array_values($of->rig->units)),
        ];
        $totals = array_filter([
            'Cables to buy' => Price::sum(array_map(fn (Cable $cable) => $cable->price, $this->toBuy($of))),
            'Units and programs' => Price::sum(array_map(fn (Unit $unit) => $unit->price, array_values($of->rig->units))),
            'All together' => Price::sum($prices),
        ]);

        $there = array_values(array_map(
            fn (Cable $cable) => [$cable->label, $cable->price, $cable->supplier],
            array_filter($of->rig->cables, fn (Cable $cable) => $cable->price.$cable->supplier !== ''
                && ! in_array($cable, $this->toBuy($of), true)),
        ));

        return [
            ...($cables === [] ? [] : [new Heading('Cables'), new Table(
                ['Type', 'Length', 'In the rig', 'To buy', 'Labels to buy', 'Price', 'Supplier'],
                $cables,
                [1.2, 1.1, 0.7, 0.7, 2, 1, 1.3],
            )]),
            ...($parts === [] ? [] : [new Heading('Adapters, isolators and other small parts'), new Table(
                ['Model', 'Channels', 'In the rig', 'Units', 'Price', 'Supplier'],
                $parts,
                [2, 1, 0.7, 2.4, 1, 1.3],
            )]),
            ...($others === [] ? [] : [new Heading('What else has a price'), new Table(
                ['Unit', 'Model', 'Price', 'Supplier'],
                $others,
                [1.6, 2, 1, 1.3],
            )]),
            ...($there === [] ? [] : [new Heading('Leads that are there'), new Table(
                ['Label', 'Price', 'Supplier'],
                $there,
                [1, 1, 2],
            )]),
            ...($totals === [] ? [] : [new Heading('Total'), new Table(['What', 'Sum'], array_map(
                fn (string $what, string $sum) => [$what, $sum],
                array_keys($totals),
                array_values($totals),
            ), [2, 3])]),
        ];
    }

    /** @return list<Cable> those that are bought by the piece, and come with no unit */
    private function loose(BookInput $of): array
    {
        return array_values(array_filter(
            $of->rig->cables,
            fn (Cable $cable) => $cable->type !== CableType::Captive && $cable->type !== CableType::Wireless
                && $of->wiring->leadOf($cable) === null,
        ));
    }

    /** @return list<Cable> */
    private function toBuy(BookInput $of): array
    {
        return array_values(array_filter($this->loose($of), fn (Cable $cable) => ! $cable->owned));
    }

    /** @return list<list<string>> by type, plugs and length */
    private function cables(BookInput $of): array
    {
        $by = [];
        $plugs = new Plugs($of->rig);
        foreach ($this->loose($of) as $cable) {
            $length = $cable->lengthM === null ? 'length not known' : $of->lengths->words($cable->lengthM);
            $by[$plugs->of($cable)][$length][] = $cable;
        }
        ksort($by);
        $rows = [];
        foreach ($by as $type => $lengths) {
            ksort($lengths, SORT_NATURAL);
            foreach ($lengths as $length => $cables) {
                $buy = array_values(array_filter($cables, fn (Cable $cable) => ! $cable->owned));
                $rows[] = [
                    $type,
                    (string) $length,
                    (string) count($cables),
                    (string) count($buy),
                    implode(', ', array_map(fn (Cable $cable) => $cable->label, $buy)),
                    Price::sum(array_map(fn (Cable $cable) => $cable->price, $buy)),
                    self::each(array_map(fn (Cable $cable) => $cable->supplier, $buy)),
                ];
            }
        }

        return $rows;
    }

    /** @return list<list<string>> by model */
    private function parts(BookInput $of): array
    {
        $by = [];
        foreach ($of->rig->units as $unit) {
            if (in_array($of->rig->modelOf($unit)->family, self::SMALL_PARTS, true)) {
                $by[$unit->model][] = $unit;
            }
        }

        return array_values(array_map(function (array $units) use ($of): array {
            $model = $of->rig->modelOf($units[0]);
            $channels = array_sum(array_map(
                fn (string $point) => $model->points[$point]->channels,
                array_unique(array_map(fn ($route) => $route->to, array_values($model->routes))),
            ));

            return [
                $model->name,
                $model->family === Family::Isolator ? Count::of($channels, 'channel') : '',
                (string) count($units),
                implode(', ', array_map(fn (Unit $unit) => $unit->name, $units)),
                Price::sum(array_map(fn (Unit $unit) => $unit->price, $units)),
                self::each(array_map(fn (Unit $unit) => $unit->supplier, $units)),
            ];
        }, $by));
    }

    /** @return list<list<string>> units that are no small parts and have a price or supplier */
    private function others(BookInput $of): array
    {
        $units = array_filter($of->rig->units, fn (Unit $unit) => $unit->price.$unit->supplier !== ''
            && ! in_array($of->rig->modelOf($unit)->family, self::SMALL_PARTS, true));

        return array_values(array_map(
            fn (Unit $unit) => [$unit->name, $of->rig->modelOf($unit)->name, $unit->price, $unit->supplier],
            $units,
        ));
    }

    /** @param  list<string>  $texts */
    private static function each(array $texts): string
    {
        return implode(', ', array_unique(array_filter($texts)));
    }
}

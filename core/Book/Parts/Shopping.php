<?php

declare(strict_types=1);

namespace HiddenWire\Core\Book\Parts;

use HiddenWire\Core\Book\Heading;
use HiddenWire\Core\Book\Part;
use HiddenWire\Core\Book\Source;
use HiddenWire\Core\Book\Table;
use HiddenWire\Core\Equipment\CableType;
use HiddenWire\Core\Equipment\Family;
use HiddenWire\Core\Quantity\Count;

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

    public function blocks(Source $of): array
    {
        $cables = $parts = [];
        foreach ($of->rig->cables as $cable) {
            if ($cable->type === CableType::Captive || $cable->type === CableType::Wireless) {
                continue;
            }
            $length = $cable->lengthM === null ? 'length not known' : "{$cable->lengthM} m";
            $cables[$cable->type->words()][$length][$cable->owned ? 'owned' : 'to buy'][] = $cable->label;
        }
        $rows = [];
        ksort($cables);
        foreach ($cables as $type => $lengths) {
            ksort($lengths, SORT_NATURAL);
            foreach ($lengths as $length => $by) {
                $buy = $by['to buy'] ?? [];
                $rows[] = [
                    $type,
                    (string) $length,
                    (string) (count($by['owned'] ?? []) + count($buy)),
                    (string) count($buy),
                    implode(', ', $buy),
                    '',
                    '',
                ];
            }
        }
        foreach ($of->rig->units as $unit) {
            $model = $of->rig->modelOf($unit);
            if (in_array($model->family, self::SMALL_PARTS, true)) {
                $channels = array_sum(array_map(
                    fn (string $point) => $model->points[$point]->channels,
                    array_unique(array_map(fn ($route) => $route->to, array_values($model->routes))),
                ));
                $wide = $model->family === Family::Isolator ? Count::of($channels, 'channel') : '';
                $parts[$model->name] ??= [$model->name, $wide, 0, []];
                $parts[$model->name][2]++;
                $parts[$model->name][3][] = $unit->name;
            }
        }
        $small = array_values(array_map(
            fn (array $part) => [$part[0], $part[1], (string) $part[2], implode(', ', $part[3]), '', ''],
            $parts,
        ));

        return [
            ...($rows === [] ? [] : [new Heading('Cables'), new Table(
                ['Type', 'Length', 'In the rig', 'To buy', 'Labels to buy', 'Price', 'Supplier'],
                $rows,
                [1.2, 1.1, 0.7, 0.7, 2, 0.8, 1.3],
            )]),
            ...($small === [] ? [] : [new Heading('Adapters, isolators and other small parts'), new Table(
                ['Model', 'Channels', 'In the rig', 'Units', 'Price', 'Supplier'],
                $small,
                [2, 1, 0.7, 2.4, 0.8, 1.3],
            )]),
        ];
    }
}

<?php

declare(strict_types=1);

namespace HiddenWire\Core\Export;

use HiddenWire\Core\Book\BookInput;
use HiddenWire\Core\Book\Cards\RunDown;
use HiddenWire\Core\Checks\Finding;
use HiddenWire\Core\Quantity\Price;
use HiddenWire\Core\Rig\Cable;
use HiddenWire\Core\Rig\Unit;
use HiddenWire\Core\Signal\Readings;

/**
 * A rig as tables for a spreadsheet, where numbers are numbers, with their unit in the heading.
 *
 * @phpstan-type Row list<string|int|float|null>
 */
final class RigTables
{
    /** @return array<string, array{list<string>, list<Row>}> columns and rows, by the name of the table; those that have rows */
    public static function of(BookInput $of): array
    {
        $tables = [
            'Hearing' => [
                ['Situation', 'Sound', 'Listener', 'Stands', 'Level (dB)', 'Delay (ms)', 'Wished', 'Besides'], self::hearing($of),
            ],
            'Findings' => [['Severity', 'Finding', 'What to do'], self::findings($of)],
            'Cables' => [CableCsv::COLUMNS, CableCsv::rows($of)],
            'Devices' => [DeviceCsv::COLUMNS, DeviceCsv::rows($of)],
            'Shopping' => [['What', 'Name', 'Type', 'Length (m)', 'Price', 'Currency', 'Supplier'], self::shopping($of)],
            'Run-down' => [['Part', 'Step', 'At (min)', 'Wait (s)', 'Note'], self::runDown($of)],
            'Meters' => [['Situation', 'Unit', 'Meter', 'Sound', 'Level (dB)'], self::meters($of)],
            'Mixes' => [['Situation', 'Unit', 'Mix', 'Takes', 'On', 'Level (dB)', 'Taken'], self::mixes($of)],
        ];

        return array_filter($tables, fn (array $table) => $table[1] !== []);
    }

    /** @return list<Row> */
    private static function hearing(BookInput $of): array
    {
        $rows = [];
        foreach ($of->rig->situations as $situation) {
            foreach ($of->hearing($situation->id)->all() as $pair) {
                $rows[] = [
                    $situation->name, $pair->source->name, $pair->listener->name, $pair->verdict->value, $pair->level()?->number(),
                    $pair->isHeard() ? $pair->delay()?->number() : null, $pair->wish->want->value ?? '',
                    implode(', ', $pair->wish?->marks() ?? []),
                ];
            }
        }

        return $rows;
    }

    /** @return list<Row> */
    private static function findings(BookInput $of): array
    {
        return [
            ...array_map(
                fn ($cause) => ['cause', $cause->sentence, $cause->cures === [] ? $cause->why : $cause->cures[0]->sentence],
                $of->causes() ?? [],
            ),
            ...array_map(
                fn (Finding $one) => [$one->severity->value, $one->sentence, $one->cures === [] ? $one->why : $one->cures[0]->sentence],
                $of->findings() ?? [],
            ),
        ];
    }

    /** @return list<Row> leads to buy, and what else has a price */
    private static function shopping(BookInput $of): array
    {
        return [
            ...array_values(array_map(
                fn (Cable $cable) => [
                    'lead', $cable->label, $cable->type->words(), $cable->lengthM, ...Price::parts($cable->price), $cable->supplier,
                ],
                array_filter($of->rig->cables, fn (Cable $cable) => ! $cable->owned),
            )),
            ...array_values(array_map(
                fn (Unit $unit) => [
                    'unit', $unit->name, $of->rig->modelOf($unit)->name, null, ...Price::parts($unit->price), $unit->supplier,
                ],
                array_filter($of->rig->units, fn (Unit $unit) => $unit->price.$unit->supplier !== ''),
            )),
        ];
    }

    /** @return list<Row> */
    private static function runDown(BookInput $of): array
    {
        $rows = [];
        foreach ($of->rig->units === [] ? [] : RunDown::card($of, 'run-down')->sections as $part => $steps) {
            foreach ($steps as $step) {
                $rows[] = [$part, $step->text, $step->atMin, $step->waitS === 0 ? null : $step->waitS, $step->note];
            }
        }

        return $rows;
    }

    /** @return list<Row> */
    private static function meters(BookInput $of): array
    {
        $rows = [];
        foreach ($of->rig->situations as $situation) {
            $readings = new Readings($of->hearing($situation->id)->graph());
            foreach ($of->rig->units as $unit) {
                foreach ($of->rig->modelOf($unit)->meters as $meter) {
                    foreach ($readings->of($unit, $meter) as $source => $db) {
                        $rows[] = [$situation->name, $unit->name, $meter->label, $of->rig->sources[$source]->name, round($db, 1)];
                    }
                }
            }
        }

        return $rows;
    }

    /** @return list<Row> of routes that can be set */
    private static function mixes(BookInput $of): array
    {
        $rows = [];
        foreach ($of->rig->situations as $situation) {
            $state = $of->hearing($situation->id)->graph()->state;
            foreach ($of->rig->units as $unit) {
                $points = $of->rig->modelOf($unit)->points;
                foreach ($of->rig->modelOf($unit)->routes as $route) {
                    if ($route->can !== []) {
                        $now = $state->route($unit->id, $route);
                        $rows[] = [
                            $situation->name, $unit->name, $points[$route->to]->label, $points[$route->from]->label,
                            $now->on ? 'yes' : 'no', $now->db->number(), $now->tap->words(),
                        ];
                    }
                }
            }
        }

        return $rows;
    }
}

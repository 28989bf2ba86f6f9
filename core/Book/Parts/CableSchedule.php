<?php

declare(strict_types=1);

namespace HiddenWire\Core\Book\Parts;

use HiddenWire\Core\Book\BookInput;
use HiddenWire\Core\Book\Part;
use HiddenWire\Core\Book\Plugs;
use HiddenWire\Core\Book\Schedule;
use HiddenWire\Core\Book\Table;
use HiddenWire\Core\Equipment\Way;
use HiddenWire\Core\Rig\Cable;

/** Every cable: both ends, type, length, colour, what it carries. A Y-lead or adapter on plugs of its own is one line with all its ends. */
final class CableSchedule implements Part
{
    public function key(): string
    {
        return 'cables';
    }

    public function title(): string
    {
        return 'Cable schedule';
    }

    public function blocks(BookInput $of): array
    {
        $plugs = new Plugs($of->rig);
        $types = [];
        foreach ($of->rig->cables as $cable) {
            $types[$cable->label] = $plugs->of($cable).self::pairs($cable);
        }
        $rows = $leads = [];
        foreach ((new Schedule($of))->rows() as $row) {
            $lead = $row['lead']?->unit;
            if ($lead === null) {
                $rows[] = $this->cable($of, $row, $types[$row['label']]);
            } else {
                // It is listed where the first of its plugs is.
                $rows["lead {$lead}"] = [];
                $leads[$lead][] = $row;
            }
        }
        foreach ($leads as $unit => $ends) {
            $rows["lead {$unit}"] = $this->lead($of, (string) $unit, $ends);
        }

        return $rows === [] ? [] : [new Table(
            ['Label', 'From', 'To', 'Cable', 'Carries'],
            array_values($rows),
            [0.6, 2, 2, 1.3, 2],
        )];
    }

    /**
     * @param  array<string, mixed>  $row  of the schedule
     * @return list<string>
     */
    private function cable(BookInput $of, array $row, string $type): array
    {
        return [
            $row['label'],
            self::end($row['from']),
            self::end($row['to']),
            implode(', ', array_filter([
                $type,
                $row['length_m'] === null ? '' : $of->lengths->words($row['length_m']),
                $row['colour'],
                $row['owned'] ? '' : 'to buy',
            ])),
            $row['content'],
        ];
    }

    /**
     * A lead with its own plugs: what each goes into, from those that take a sound to those that give it.
     *
     * @param  non-empty-list<array<string, mixed>>  $rows  of the schedule
     * @return list<string>
     */
    private function lead(BookInput $of, string $unit, array $rows): array
    {
        $model = $of->rig->modelOf($unit);
        $ends = ['from' => [], 'to' => []];
        foreach ($rows as $row) {
            $socket = $model->sockets[$row['lead']->socket];
            $gives = $socket->lanesGoing(Way::Out) !== [];
            $ends[$gives ? 'to' : 'from'][] = "{$socket->label} in ".self::end($row['there']);
        }
        $each = fn (array $texts, string $between): string => implode($between, array_unique(array_filter($texts)));

        return [
            implode(', ', array_column($rows, 'label')),
            implode('; ', $ends['from']),
            implode('; ', $ends['to']),
            implode(', ', array_filter([
                "{$of->rig->units[$unit]->name}: {$model->name}",
                $each(array_map($of->lengths->words(...), array_filter(array_column($rows, 'length_m'))), ', '),
                $each(array_column($rows, 'colour'), ', '),
                in_array(false, array_column($rows, 'owned'), true) ? 'to buy' : '',
            ])),
            $each(array_column($rows, 'content'), '; '),
        ];
    }

    /** @param  array{place: string, unit: string, socket: string, connector: string}  $end */
    private static function end(array $end): string
    {
        return "{$end['place']}: {$end['unit']} · {$end['socket']} ({$end['connector']})";
    }

    /** "; lanes l to r, r to l": which lanes are joined, where somebody has paired them otherwise than by their order. */
    private static function pairs(Cable $cable): string
    {
        $pairs = array_map(fn (array $pair) => "{$pair[0]} to {$pair[1]}", $cable->lanes ?? []);

        return $pairs === [] ? '' : '; lanes '.implode(', ', $pairs);
    }
}

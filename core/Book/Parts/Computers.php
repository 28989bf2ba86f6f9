<?php

declare(strict_types=1);

namespace HiddenWire\Core\Book\Parts;

use HiddenWire\Core\Book\BookInput;
use HiddenWire\Core\Book\Cards\ComputerCard;
use HiddenWire\Core\Book\Heading;
use HiddenWire\Core\Book\Part;
use HiddenWire\Core\Book\Steps;
use HiddenWire\Core\Book\Table;
use HiddenWire\Core\Devices\Device;
use HiddenWire\Core\Quantity\Count;
use HiddenWire\Core\Rig\Processing;
use HiddenWire\Core\Rig\Role;
use HiddenWire\Core\Rig\Situation;
use HiddenWire\Core\Rig\SystemLevel;
use HiddenWire\Core\Rig\Unit;
use HiddenWire\Core\Signal\ChannelTable;
use HiddenWire\Core\Signal\Stray;

/** One sheet a computer: its devices as the system lists them, their names, defaults and formats, and what starts when. */
final class Computers implements Part
{
    public function key(): string
    {
        return 'computers';
    }

    public function title(): string
    {
        return 'Computers';
    }

    public function blocks(BookInput $of): array
    {
        $blocks = [];
        foreach ($of->rig->units as $unit) {
            if (! $of->rig->modelOf($unit)->family->isHost()) {
                continue;
            }
            $devices = array_values($of->hearing()->graph->devices->of($unit->id));
            $programs = ComputerCard::programs($of, $unit);
            $blocks[] = new Heading("{$unit->name}, {$of->rig->places[$unit->place]->name}");
            $blocks[] = new Table(
                ['Device', 'Name given to it', 'Way', 'Default for', 'Given by', 'Format', 'State'],
                array_map(fn (Device $device) => $this->device($device, $of), $devices),
                [1.8, 1.5, 0.9, 1, 1.6, 1.1, 1],
                isWide: true,
            );
            $channels = new ChannelTable($of->hearing()->graph);
            foreach (array_filter($devices, $channels->isUseful(...)) as $device) {
                $blocks[] = new Heading("{$unit->name}: channels of {$device->name()}, {$device->direction->value}");
                $blocks[] = new Table(
                    ['Channel', "Printed at {$of->rig->units[$device->ref->unit]->name}", 'In programs'],
                    array_map(fn (array $row) => [
                        (string) $row['number'], $row['print'] === '' ? 'nothing' : $row['print'], implode('; ', $row['used']),
                    ], $channels->rows($device)),
                    [0.6, 2, 2.4],
                );
            }
            $blocks[] = new Table(['Situation', 'Sounds of unlisted programs are heard by'], array_values(array_map(
                fn (Situation $one) => [$one->name, (new Stray($of->hearing($one->id)->graph, $unit))->words()],
                $of->rig->situations,
            )), [1, 4]);
            array_push($blocks, ...ComputerCard::card($of, "computer/{$unit->id}")->blocks($unit->name));
            if ($programs !== []) {
                $blocks[] = new Heading("{$unit->name}: start");
                $blocks[] = new Steps(array_map(fn (Unit $one) => "Start {$one->name}".($one->atLogin ? ' (starts by itself at login)' : '')
                    .($one->needs === [] ? '' : '; it needs '.$this->names($one->needs, $of))
                    .'.', $programs));
            }
        }

        return $blocks;
    }

    /** @param  list<string>  $units */
    private function names(array $units, BookInput $of): string
    {
        return implode(', ', array_map(fn (string $id) => $of->rig->units[$id]->name, $units));
    }

    /** @return list<string> */
    private function device(Device $device, BookInput $of): array
    {
        $set = $device->settings;
        $format = array_filter([
            $set?->rateHz === null ? '' : "{$set->rateHz} Hz",
            $set?->bits === null ? '' : "{$set->bits} bit",
            $set?->driverMode->value ?? '',
            SystemLevel::said($set?->db, $set?->mute === true ? true : null),
            ...array_map(fn (Processing $one) => $one->words(), $device->processing()),
            $set?->playsTo === null ? '' : "played to {$of->names->of($set->playsTo)}",
        ]);

        return [
            $device->systemName,
            $set->name ?? '',
            $device->direction->value.($device->channels === 2 ? '' : ', '.Count::of($device->channels, 'channel')),
            implode(', ', array_map(fn (Role $role) => $role === Role::Call ? 'calls' : $role->value, $device->roles)),
            $of->rig->units[$device->ref->unit]->name,
            implode(', ', $format),
            $device->trouble() === '' ? 'enabled' : $device->trouble(),
        ];
    }
}

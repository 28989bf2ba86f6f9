<?php

declare(strict_types=1);

namespace HiddenWire\Core\Book\Parts;

use HiddenWire\Core\Book\BookInput;
use HiddenWire\Core\Book\Cards\ComputerCard;
use HiddenWire\Core\Book\Heading;
use HiddenWire\Core\Book\Insides;
use HiddenWire\Core\Book\Part;
use HiddenWire\Core\Book\PickWords;
use HiddenWire\Core\Book\Steps;
use HiddenWire\Core\Book\Table;
use HiddenWire\Core\Book\Text;
use HiddenWire\Core\Devices\Device;
use HiddenWire\Core\Equipment\PickedIn;
use HiddenWire\Core\Equipment\Takes;
use HiddenWire\Core\Quantity\Count;
use HiddenWire\Core\Rig\Pick;
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
    /** What is written here of a computer's card: cabling, names, defaults and picks are in tables. */
    private const STEPS = ['System', 'Install', 'Allow', 'At login'];

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
            $devices = array_values($of->graph()->devices->of($unit->id));
            $programs = ComputerCard::programs($of, $unit);
            $place = $of->rig->places[$unit->place]->name;
            $blocks[] = new Heading($unit->name.($place === $unit->name ? '' : ", {$place}"));
            $blocks[] = new Table(
                ['Device', 'Name given to it', 'Way', 'Default for', 'Given by', 'Format', 'State'],
                array_map(fn (Device $device) => $this->device($device, $of), $devices),
                [1.8, 1.5, 0.9, 1, 1.6, 1.1, 1],
            );
            array_push($blocks, ...Insides::ofComputer($of, $unit));
            $channels = new ChannelTable($of->graph());
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
                fn (Situation $one) => [$one->name, (new Stray($of->hearing($one->id)->graph(), $unit))->words()],
                $of->rig->situations,
            )), [1, 4]);
            $last = $of->rig->modelOf($unit)->takes === Takes::LastPlugged ? self::plugged($of, $unit) : [];
            if ($last !== []) {
                $blocks[] = new Text('It takes what was plugged in last. Plug in '.implode(', then ', $last).'.');
            }
            array_push($blocks, ...self::picks($of, array_map(fn (Unit $one) => $one->id, $programs)));
            array_push($blocks, ...ComputerCard::card($of, "computer/{$unit->id}")->only(self::STEPS)->blocks($unit->name));
            if ($programs !== []) {
                $blocks[] = new Heading("{$unit->name}: start");
                $blocks[] = new Steps(array_map(fn (Unit $one) => "Start {$one->name}".($one->atLogin ? ' (starts by itself at login)' : '')
                    .($one->needs === [] ? '' : '; it needs '.$this->names($one->needs, $of))
                    .'.', $programs));
            }
        }
        $elsewhere = array_filter(
            $of->rig->picks,
            fn (Pick $pick) => $of->rig->hostOf($of->rig->units[$pick->at->unit]->place) === null,
        );
        $others = self::picks($of, array_values(array_unique(array_map(fn (Pick $pick) => $pick->at->unit, $elsewhere))));

        return $others === [] ? $blocks : [...$blocks, new Heading('Programs where there is no computer'), ...$others];
    }

    /** @return list<string> labels of the leads whose order counts for a computer, in the order of the default */
    private static function plugged(BookInput $of, Unit $computer): array
    {
        $leads = [];
        foreach ($of->graph()->devices->of($computer->id) as $device) {
            foreach ($device->via as ['cable' => $cable]) {
                $leads[$cable] = true;
            }
        }

        return array_values(array_map(
            fn (string $id) => $of->rig->cables[$id]->label,
            array_filter($of->rig->base()->plugged, fn (string $id) => isset($leads[$id])),
        ));
    }

    /**
     * What the ins and outs of some programs use.
     *
     * @param  list<string>  $programs  ids
     * @return list<Table>
     */
    private static function picks(BookInput $of, array $programs): array
    {
        $rows = [];
        foreach ($programs as $id) {
            foreach ($of->rig->modelOf($id)->points as $point) {
                $pick = $of->rig->picks["{$id}/{$point->id}"] ?? null;
                if ($pick !== null) {
                    $place = $of->rig->pickedIn($pick->at);
                    $rows[] = [
                        $of->rig->units[$id]->name, $point->label, PickWords::of($pick, $of),
                        $pick->channels === null ? 'all' : implode(', ', $pick->channels),
                        SystemLevel::said($pick->db, $pick->mute ? true : null),
                        match ($place) {
                            PickedIn::Program => 'in the program', null => 'nowhere: it follows the system', default => $place->words(),
                        },
                    ];
                }
            }
        }

        return $rows === [] ? [] : [new Table(
            ['Program', 'In or out', 'Device', 'Channels', 'Level in the system', 'Chosen'],
            $rows,
            [1.4, 1.4, 1.9, 0.8, 0.9, 1.2],
        )];
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

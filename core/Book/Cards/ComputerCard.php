<?php

declare(strict_types=1);

namespace HiddenWire\Core\Book\Cards;

use HiddenWire\Core\Book\BookInput;
use HiddenWire\Core\Book\Card;
use HiddenWire\Core\Book\CardKind;
use HiddenWire\Core\Book\CardStep;
use HiddenWire\Core\Book\PickWords;
use HiddenWire\Core\Devices\Device;
use HiddenWire\Core\Devices\RunsHere;
use HiddenWire\Core\Equipment\DeviceNames;
use HiddenWire\Core\Equipment\Direction;
use HiddenWire\Core\Equipment\EquipmentModel;
use HiddenWire\Core\Equipment\InstallNeed;
use HiddenWire\Core\Equipment\Point;
use HiddenWire\Core\Equipment\Takes;
use HiddenWire\Core\Rig\Processing;
use HiddenWire\Core\Rig\Role;
use HiddenWire\Core\Rig\SystemLevel;
use HiddenWire\Core\Rig\Unit;
use HiddenWire\Core\Rig\Unlisted;

/** A computer that is set up anew: what is plugged in, installed, named, made a default, and picked, in order. */
final class ComputerCard implements CardKind
{
    public static function name(): string
    {
        return 'Installing a computer';
    }

    public static function titles(BookInput $of): array
    {
        $titles = [];
        foreach ($of->rig->units as $unit) {
            if ($of->rig->modelOf($unit)->family->isHost()) {
                $titles["computer/{$unit->id}"] = $unit->name;
            }
        }

        return $titles;
    }

    public static function card(BookInput $of, string $key): Card
    {
        $computer = $of->rig->units[substr($key, strlen('computer/'))];
        $devices = array_values(array_filter($of->graph()->devices->of($computer->id), fn (Device $one) => $one->isConnected));
        $programs = self::programs($of, $computer);
        $takesLast = $of->rig->modelOf($computer)->takes === Takes::LastPlugged;
        $rename = $format = $default = $disable = $levels = [];
        foreach ($devices as $device) {
            if ($device->name() !== $device->systemName) {
                $rename[] = new CardStep("{$device->systemName} ({$device->direction->value}): call it {$device->name()}");
            }
            if (! $device->isEnabled()) {
                $disable[] = new CardStep(match ($device->settings?->unlisted) {
                    Unlisted::Hidden => "Hide {$device->name()} ({$device->direction->value})",
                    Unlisted::NoPlugSensed => "{$device->name()} ({$device->direction->value}) is not sensed: see that it is listed",
                    default => "Disable {$device->name()} ({$device->direction->value})",
                });
            }
            foreach ($takesLast ? [] : $device->roles as $role) {
                $what = $role === Role::Call ? "{$device->direction->value} default for calls" : "{$role->value} default";
                $default[] = new CardStep(ucfirst($what)
                    .": {$device->name()}");
            }
            $level = SystemLevel::said($device->settings?->db, $device->settings?->mute === true ? true : null);
            if ($level !== '') {
                $levels[] = new CardStep("{$device->name()}: {$level}");
            }
            if ($device->processing() !== []) {
                $levels[] = new CardStep("{$device->name()}: switch on ".implode(
                    ' and ',
                    array_map(fn (Processing $one) => $one->words(), $device->processing()),
                ));
            }
            if ($device->settings?->playsTo !== null) {
                $levels[] = new CardStep("Let the system play {$device->name()} to {$of->names->of($device->settings->playsTo)}");
            }
            $set = array_filter([
                $device->settings?->rateHz === null ? '' : "{$device->settings->rateHz} Hz",
                $device->settings?->bits === null ? '' : "{$device->settings->bits} bit",
                $device->settings?->driverMode === null ? '' : "{$device->settings->driverMode->value} mode",
            ]);
            if ($set !== []) {
                $format[] = new CardStep("{$device->name()}: ".implode(', ', $set));
            }
        }

        return Card::of($key, "Install {$computer->name}", $of->rig->places[$computer->place]->name, [
            'System' => $computer->system === null ? [] : [
                new CardStep("Install {$computer->system->words()}, and nothing newer", $computer->system->kind?->words() ?? ''),
            ],
            'Plug in' => self::cables($of, $computer),
            'Install' => self::installs($of, $computer, $programs),
            'Allow' => self::allowances($of, $computer, $programs),
            'Name the devices' => $rename,
            'Disable' => $disable,
            'Formats' => $format,
            'Defaults' => $default,
            'Levels in the system' => $levels,
            'In the programs' => self::picks($of, $programs),
            'At login' => array_values(array_map(
                fn (Unit $one) => new CardStep("Let {$one->name} start at login"),
                array_filter($programs, fn (Unit $one) => $one->atLogin),
            )),
        ]);
    }

    /** @return list<Unit> the programs of a computer, in the order of their start */
    public static function programs(BookInput $of, Unit $computer): array
    {
        $programs = array_values(array_filter(
            $of->rig->units,
            fn (Unit $one) => $one->place === $computer->place && $of->rig->modelOf($one)->isProgram(),
        ));
        // What starts by itself has started before anything that a hand starts.
        $turn = fn (Unit $one): array => [$one->atLogin ? 0 : 1, $one->start ?? PHP_INT_MAX];
        usort($programs, fn (Unit $a, Unit $b) => $turn($a) <=> $turn($b));

        return $programs;
    }

    /** @return list<CardStep> */
    private static function cables(BookInput $of, Unit $computer): array
    {
        $steps = [];
        $last = $of->rig->modelOf($computer)->takes === Takes::LastPlugged ? $of->rig->base()->plugged : [];
        $cables = array_diff_key($of->rig->cables, array_flip($last));
        foreach ($last as $id) {
            $cables[$id] = $of->rig->cables[$id];
        }
        foreach ($cables as $cable) {
            foreach ([[$cable->from, $cable->to], [$cable->to, $cable->from]] as [$here, $there]) {
                if ($here->unit === $computer->id) {
                    $socket = $of->rig->socket($here);
                    $isColoured = ($socket->colour ?? '') !== ''
                        && ! str_contains(mb_strtolower($socket->label), mb_strtolower((string) $socket->colour));
                    $steps[] = new CardStep(
                        "{$cable->label} into {$socket->label}, the other end in {$of->names->of($there)}",
                        match (true) {
                            $cable->id === end($last) => 'the last: it has the sound',
                            $isColoured => "the {$socket->colour} socket",
                            default => '',
                        },
                    );
                }
            }
        }

        return $steps;
    }

    /**
     * @param  list<Unit>  $programs
     * @return list<CardStep>
     */
    private static function installs(BookInput $of, Unit $computer, array $programs): array
    {
        return array_map(function (Unit $program) use ($of, $computer): CardStep {
            $model = $of->rig->modelOf($program);
            $brings = array_map(
                fn ($point) => DeviceNames::of($model, $point->id, null),
                array_values(array_filter($of->rig->modelOf($program)->points, fn ($point) => $point->device !== null)),
            );
            $spoils = RunsHere::spoils($of->rig, $computer, $program, $of->graph()->devices);
            $links = array_map(fn ($link) => "{$link->label}: {$link->url}", $program->links);

            return new CardStep(
                $program->name.($program->firmware === '' ? '' : ", version {$program->firmware}")
                    .($program->edition === '' ? '' : ", {$program->edition} edition"),
                implode('; ', array_filter([
                    RunsHere::whyNot($of->rig, $computer, $program) ?? '',
                    $brings === [] ? '' : 'brings '.implode(', ', $brings),
                    ...array_map(fn (InstallNeed $ask) => $ask->words(), self::asks($program, $model)),
                    $spoils === [] ? '' : 'spoils the names of '.implode(', ', $spoils),
                    $program->licence === '' ? '' : "licence {$program->licence}",
                    ...$links,
                ])),
            );
        }, $programs);
    }

    /** @return list<InstallNeed> what it asks for; a trial disturbs nothing once there is a licence */
    public static function asks(Unit $program, EquipmentModel $model): array
    {
        return array_values(array_filter(
            $model->asks,
            fn (InstallNeed $ask) => $ask !== InstallNeed::TrialDisturbs || $program->licence === '',
        ));
    }

    /**
     * What the system has to allow: nothing where nobody has said what it can do.
     *
     * @param  list<Unit>  $programs
     * @return list<CardStep>
     */
    private static function allowances(BookInput $of, Unit $computer, array $programs): array
    {
        $takes = fn (Unit $program): bool => array_filter(
            $of->rig->modelOf($program)->points,
            fn (Point $point) => $point->picks === Direction::Recording && isset($of->rig->picks["{$program->id}/{$point->id}"]),
        ) !== [];

        return $computer->system?->kind?->asksForMicrophones() !== true ? [] : array_values(array_map(
            fn (Unit $program) => new CardStep("Allow {$program->name} the microphone", 'it records silence until then'),
            array_filter($programs, $takes),
        ));
    }

    /**
     * @param  list<Unit>  $programs
     * @return list<CardStep>
     */
    private static function picks(BookInput $of, array $programs): array
    {
        $steps = [];
        foreach ($programs as $program) {
            foreach ($of->rig->modelOf($program)->points as $point) {
                $pick = $of->rig->picks["{$program->id}/{$point->id}"] ?? null;
                if ($pick !== null) {
                    $steps[] = new CardStep("{$program->name}, {$point->label}: ".PickWords::toSet($pick, $of));
                }
            }
        }

        return $steps;
    }
}

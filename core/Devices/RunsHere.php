<?php

declare(strict_types=1);

namespace HiddenWire\Core\Devices;

use HiddenWire\Core\Equipment\EquipmentModel;
use HiddenWire\Core\Equipment\InstallNeed;
use HiddenWire\Core\Equipment\SystemNeed;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Unit;

/** Whether what is installed or plugged into a computer runs on its operating system, and what installing it does to others. */
final class RunsHere
{
    /** Why a program, or a unit's driver, does not run on a computer; null where it does, or nobody can tell. */
    public static function whyNot(Rig $rig, Unit $computer, Unit $unit): ?string
    {
        $needs = $rig->modelOf($unit)->runsOn;
        if ($computer->system === null || $needs === []) {
            return null;
        }
        $system = $computer->system;
        if (array_filter($needs, fn (SystemNeed $need) => $system->meets($need)) !== []) {
            return null;
        }
        $ofThis = array_filter($needs, fn (SystemNeed $need) => $system->isNamed($need->system));
        // A name that no model of the rig knows says nothing: it may be another word for one that runs it.
        $isKnown = array_filter($rig->models, fn (EquipmentModel $model) => array_filter(
            $model->runsOn,
            fn (SystemNeed $need) => $system->isNamed($need->system),
        ) !== []) !== [];
        if (! $isKnown) {
            return null;
        }

        $words = fn (array $some): string => implode(', ', array_map(fn (SystemNeed $need) => $need->words(), $some));

        return $ofThis === []
            ? "does not run on {$system->name}: it runs on {$words($needs)}"
            : "{$system->words()} is too old for it: it runs on {$words($ofThis)}";
    }

    /**
     * Names of devices that installing a program spoils: those that people have given to devices of the units that need it, or to any
     * device that is plugged in where no unit does.
     *
     * @return list<string>
     */
    public static function spoils(Rig $rig, Unit $computer, Unit $program, DeviceLists $devices): array
    {
        if (! in_array(InstallNeed::RenamesDevices, $rig->modelOf($program)->asks, true)) {
            return [];
        }
        $named = array_filter(
            $devices->of($computer->id),
            fn (Device $device) => $device->ref->lane !== null && $device->name() !== $device->systemName,
        );
        $ofIts = array_filter($named, fn (Device $device) => in_array($program->id, $rig->units[$device->ref->unit]->needs, true));

        return array_values(array_map(fn (Device $device) => $device->name(), $ofIts === [] ? $named : $ofIts));
    }

    /**
     * @return array<string, string> what does not run on a computer, and why, by unit: its programs, and what its devices come from
     */
    public static function troubles(Rig $rig, Unit $computer, DeviceLists $devices): array
    {
        $units = [];
        foreach ($devices->of($computer->id) as $device) {
            $units[$device->ref->unit] = $rig->units[$device->ref->unit];
        }
        foreach ($rig->units as $unit) {
            if ($unit->place === $computer->place && $rig->modelOf($unit)->isProgram()) {
                $units[$unit->id] = $unit;
            }
        }

        return array_filter(array_map(fn (Unit $unit) => self::whyNot($rig, $computer, $unit), $units));
    }
}

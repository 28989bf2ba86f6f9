<?php

declare(strict_types=1);

namespace HiddenWire\Core\Signal;

use HiddenWire\Core\Devices\Device;
use HiddenWire\Core\Rig\DriverMode;
use HiddenWire\Core\Rig\Pick;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Unit;

/**
 * Who opens which device of a computer, in the order in which its programs start: a device that one program has for itself, exclusively,
 * is shut to all others; and who wants it so finds it taken where another has opened it before.
 */
final class Holders
{
    /** @var array<string, PointRef> who holds it, by `program/point computer device` that is locked out */
    private array $lockedOut = [];

    /** @param  array<string, true>  $absent  programs that do not run */
    public function __construct(private readonly SignalGraph $graph, array $absent)
    {
        if (! self::isNeeded($graph->rig)) {
            return;
        }
        $programs = array_values(array_filter(
            $graph->rig->units,
            fn (Unit $unit) => ! isset($absent[$unit->id]) && $graph->rig->modelOf($unit)->isProgram(),
        ));
        // Those of no turn start when somebody wants them: after the others, in the order of the rig.
        usort($programs, fn (Unit $a, Unit $b) => ($a->start ?? PHP_INT_MAX) <=> ($b->start ?? PHP_INT_MAX));
        /** @var array<string, array{PointRef, bool}> $held by whom, and whether exclusively */
        $held = [];
        foreach ($programs as $program) {
            foreach ($graph->rig->modelOf($program)->points as $point) {
                foreach ($point->picks === null ? [] : $graph->allPicked($program, $point) as $device) {
                    $at = new PointRef($program->id, $point->id);
                    $key = "{$device->computer} {$device->ref}";
                    $isExclusive = $this->mode($at, $device) === DriverMode::Exclusive;
                    [$by, $isHeld] = $held[$key] ?? [$at, false];
                    if ($by->unit !== $program->id && ($isHeld || $isExclusive)) {
                        $this->lockedOut["{$at} {$key}"] = $by;
                    } elseif ($device->direction === $point->picks) {
                        $held[$key] = [$by, $isHeld || $isExclusive];
                    }
                }
            }
        }
    }

    /** Who holds a device that a program's in or out has picked, so that it gets nothing of it; null where nobody does. */
    public function of(PointRef $at, Device $device): ?PointRef
    {
        return $this->lockedOut["{$at} {$device->computer} {$device->ref}"] ?? null;
    }

    /** How a program opens a device: as it says itself, else as the device is set. */
    public function mode(PointRef $at, Device $device): DriverMode
    {
        $point = $this->graph->rig->point($at)->deviceOf ?? $at->point;

        return $this->graph->state->pick($at->unit, $point)->mode ?? $device->settings->driverMode ?? DriverMode::Shared;
    }

    /** Whether anything in the rig opens a device exclusively; in most nothing does. */
    private static function isNeeded(Rig $rig): bool
    {
        foreach ($rig->devices as $set) {
            if ($set->driverMode === DriverMode::Exclusive) {
                return true;
            }
        }
        foreach ($rig->picks as $pick) {
            if ($pick->mode === DriverMode::Exclusive) {
                return true;
            }
        }
        foreach ($rig->situations as $situation) {
            foreach ($situation->changes as $change) {
                if ($change->set instanceof Pick && $change->set->mode === DriverMode::Exclusive) {
                    return true;
                }
            }
        }

        return false;
    }
}

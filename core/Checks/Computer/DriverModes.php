<?php

declare(strict_types=1);

namespace HiddenWire\Core\Checks\Computer;

use HiddenWire\Core\Checks\Check;
use HiddenWire\Core\Checks\Finding;
use HiddenWire\Core\Checks\Inspection;
use HiddenWire\Core\Checks\Proposal;
use HiddenWire\Core\Checks\Severity;
use HiddenWire\Core\Edit\SetPick;
use HiddenWire\Core\Planning\Cost;
use HiddenWire\Core\Quantity\Listing;
use HiddenWire\Core\Rig\DriverMode;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\Unit;

/** A program that opens its devices in different driver modes. */
final readonly class DriverModes implements Check
{
    public function code(): string
    {
        return 'computer.driver-mode';
    }

    public function findings(Inspection $in): iterable
    {
        $graph = $in->base()->graph();
        foreach ($in->rig->units as $unit) {
            $modes = [];
            $about = [];
            foreach ($in->rig->modelOf($unit)->points as $point) {
                $at = new PointRef($unit->id, $point->id);
                foreach ($point->picks === null ? [] : $graph->allPicked($unit, $point) as $device) {
                    $isOwn = $device->direction === $point->picks;
                    if ($isOwn) {
                        $modes[$graph->holders->mode($at, $device)->value] ??= $device->name();
                        $about[(string) $at] = $at;
                    }
                }
            }
            if (count($modes) > 1) {
                $said = array_map(fn (string $mode, string $name) => "{$name} in {$mode} mode", array_keys($modes), $modes);
                yield new Finding(
                    $this->code(),
                    Severity::Risk,
                    "{$unit->name} opens ".Listing::of($said),
                    'Many programs take one driver mode for all of their devices, and the others stay silent. Open all in one mode.',
                    array_values($about),
                    [],
                    array_map(
                        fn (string $mode) => $this->allIn(DriverMode::from($mode), $in, $unit, array_values($about)),
                        array_keys($modes),
                    ),
                );
            }
        }
    }

    /** @param  list<PointRef>  $points  of one program that pick a device */
    private function allIn(DriverMode $mode, Inspection $in, Unit $program, array $points): Proposal
    {
        $edits = [];
        foreach ($points as $at) {
            $pick = $in->rig->picks[(string) $at] ?? null;
            if ($pick !== null && $pick->mode !== $mode) {
                $edits[] = new SetPick($at, $pick->with(mode: $mode));
            }
        }

        return new Proposal("Open all devices of {$program->name} in {$mode->value} mode", $edits, Cost::PICK * max(1, count($edits)));
    }
}

<?php

declare(strict_types=1);

namespace HiddenWire\Core\Checks\Computer;

use HiddenWire\Core\Checks\Check;
use HiddenWire\Core\Checks\Finding;
use HiddenWire\Core\Checks\Inspection;
use HiddenWire\Core\Checks\Severity;
use HiddenWire\Core\Devices\Device;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\Situation;

/** A pick of a device that is disabled, hidden, or not connected. */
final readonly class Unavailable implements Check
{
    public function code(): string
    {
        return 'computer.unavailable';
    }

    public function findings(Inspection $in): iterable
    {
        foreach ($in->rig->situations as $situation) {
            $graph = $in->graph($situation->id);
            foreach ($in->rig->units as $unit) {
                foreach ($in->isThere($unit->id, $situation) ? $in->rig->modelOf($unit)->points : [] as $point) {
                    if ($point->picks === null || $point->deviceOf !== null) {
                        continue;
                    }
                    yield from $this->nowhere($in, new PointRef($unit->id, $point->id));
                    foreach ($graph->allPicked($unit, $point) as $device) {
                        $at = new PointRef($unit->id, $point->id);
                        $isExplicit = $graph->state->pick($unit->id, $point->id)?->device !== null;
                        if ($isExplicit && ! $device->isUsable() && ! $this->isPlanned($in, $device, $situation)) {
                            yield new Finding(
                                $this->code(),
                                Severity::Fault,
                                "{$in->names->of($at)} uses {$device->name()}, which is {$device->trouble()}",
                                'Nothing comes through until the device is back, or another is chosen.',
                                [$at, $device->ref],
                                [$situation->id],
                            );
                        }
                    }
                }
            }
        }
    }

    /** @return iterable<Finding> a device chosen for a program that has no choice, on a system that has none for it either */
    private function nowhere(Inspection $in, PointRef $at): iterable
    {
        $device = $in->rig->picks[(string) $at]->device ?? null;
        if ($device !== null && $in->rig->pickedIn($at) === null) {
            yield new Finding(
                $this->code(),
                Severity::Fault,
                "{$in->names->of($at)} is to use {$in->names->of($device)}, but has no choice of its own",
                'The system does not list programs, so that it follows the default. Make the device the default, or take another program.',
                [$at, $device],
            );
        }
    }

    /** Whether the situation itself says that it is gone. */
    private function isPlanned(Inspection $in, Device $device, Situation $situation): bool
    {
        if ($in->rig->isBase($situation->id)) {
            return false;
        }
        $before = $in->base()->graph()->devices->of($device->computer)[(string) $device->ref] ?? null;

        return $before?->isUsable() === true;
    }
}

<?php

declare(strict_types=1);

namespace HiddenWire\Core\Room;

use HiddenWire\Core\Devices\DeviceLists;
use HiddenWire\Core\Edit\RigEdit;
use HiddenWire\Core\Edit\SetPick;
use HiddenWire\Core\Rig\DeviceRef;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Wiring;

/** A repeater that records from what it should play to and plays to what it should record from, where both have both. */
final readonly class TurnedRound implements RigEdit
{
    public function __construct(public string $unit)
    {
    }

    public function applyTo(Rig $rig): Rig
    {
        $picks = array_values(array_filter($rig->picks, fn ($pick) => $pick->at->unit === $this->unit && $pick->device !== null));
        if (count($picks) !== 2) {
            return $rig;
        }
        foreach ([[$picks[0], $picks[1]], [$picks[1], $picks[0]]] as [$here, $there]) {
            $device = $there->device === null ? null : $this->otherSide($rig, $here->at, $there->device->unit);
            $rig = $device === null ? $rig : (new SetPick($here->at, $here->with(device: $device, channels: null)))->applyTo($rig);
        }

        return $rig;
    }

    public function words(Rig $rig): string
    {
        return "{$rig->units[$this->unit]->name} turned round";
    }

    private function otherSide(Rig $rig, PointRef $at, string $unit): ?DeviceRef
    {
        $host = $rig->hostOf($rig->units[$at->unit]->place);
        foreach ($host === null ? [] : (new DeviceLists($rig, new Wiring($rig)))->of($host->id) as $device) {
            if ($device->ref->unit === $unit && $device->direction === $rig->point($at)->picks && $device->isUsable()) {
                return $device->ref;
            }
        }

        return null;
    }
}

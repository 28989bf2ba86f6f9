<?php

declare(strict_types=1);

namespace HiddenWire\Core\Devices;

use HiddenWire\Core\Equipment\Direction;
use HiddenWire\Core\Equipment\Family;
use HiddenWire\Core\Equipment\PickFrom;
use HiddenWire\Core\Equipment\Point;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Unit;

/** Devices that a program does not offer at one of its ins or outs, and by which other ways it could have their sound. */
final readonly class OtherWays
{
    public function __construct(private Rig $rig, private DeviceLists $devices)
    {
    }

    /** @return array<string, string> the way, in words, by the name of what is not offered: "the loopback of Desk return" */
    public function at(Unit $program, Point $point): array
    {
        $host = $this->rig->hostOf($program->place);
        if ($host === null || $point->picks === null || $point->pickFrom === [] || $point->deviceOf !== null) {
            return [];
        }
        $ways = [];
        foreach ($this->devices->of($host->id) as $device) {
            $isTap = $device->direction !== $point->picks;
            $isPossible = $device->isUsable() && $device->ref->unit !== $program->id
                && (! $isTap || $point->picks === Direction::Recording);
            if ($isPossible && ! $point->offers($device->ref->pickFrom($isTap))) {
                $ways[($isTap ? 'the loopback of ' : '').$device->name()] = $this->way($host, $program, $point, $device, $isTap);
            }
        }

        return $ways;
    }

    private function way(Unit $host, Unit $program, Point $point, Device $device, bool $isTap): string
    {
        if ($point->offers(PickFrom::Defaults) && ! $isTap) {
            return "make it the default {$device->direction->value} device of {$host->name}";
        }
        $between = $this->virtualDevice($host, $program, $point);
        $name = $isTap ? "the loopback of {$device->name()}" : $device->name();
        if ($between === null) {
            return $point->picks === Direction::Recording
                ? 'a virtual cable and a repeater would bring it to a device that is offered'
                : 'a virtual cable that is offered, and a repeater behind it, would bring it there';
        }
        foreach ($this->rig->units as $unit) {
            if ($unit->place === $program->place && $this->rig->modelOf($unit)->family === Family::Repeater) {
                return $point->picks === Direction::Recording
                    ? "let {$unit->name} take {$name} and play it to {$between}, and take that here"
                    : "play to {$between}, and let {$unit->name} take that and play it to {$name}";
            }
        }

        return $point->picks === Direction::Recording
            ? "a repeater that takes {$name} and plays it to {$between} would bring it here"
            : "a repeater that takes {$between} and plays it to {$name} would bring it there";
    }

    /** The program that installs a device for it which is offered; null where none does. */
    private function virtualDevice(Unit $host, Unit $program, Point $point): ?string
    {
        foreach ($point->offers(PickFrom::Installed) ? $this->devices->of($host->id) : [] as $device) {
            if ($device->ref->lane === null && $device->direction === $point->picks && $device->isUsable()
                && $this->rig->modelOf($device->ref->unit)->family === Family::VirtualCable && $device->ref->unit !== $program->id) {
                return $this->rig->units[$device->ref->unit]->name;
            }
        }

        return null;
    }
}

<?php

declare(strict_types=1);

namespace HiddenWire\Core\Checks\Computer;

use HiddenWire\Core\Checks\Check;
use HiddenWire\Core\Checks\Finding;
use HiddenWire\Core\Checks\Inspection;
use HiddenWire\Core\Checks\Proposal;
use HiddenWire\Core\Checks\Severity;
use HiddenWire\Core\Devices\Device;
use HiddenWire\Core\Edit\SetDevice;
use HiddenWire\Core\Planning\Cost;
use HiddenWire\Core\Quantity\Listing;
use HiddenWire\Core\Rig\DeviceSettings;
use HiddenWire\Core\Rig\UnitRef;

/** Devices of one program that run at different sample rates, or one with fewer bits than those beside it. */
final readonly class Format implements Check
{
    public function code(): string
    {
        return 'computer.format';
    }

    public function findings(Inspection $in): iterable
    {
        $graph = $in->base()->graph;
        foreach ($in->rig->units as $unit) {
            $devices = [];
            foreach ($in->rig->modelOf($unit)->points as $point) {
                foreach ($point->picks === null ? [] : $graph->allPicked($unit, $point) as $device) {
                    if ($device->isUsable() && $device->settings !== null) {
                        $devices["{$device->ref}"] = $device;
                    }
                }
            }
            yield from $this->differing($in, $unit->id, array_values($devices), 'rateHz');
            yield from $this->differing($in, $unit->id, array_values($devices), 'bits');
        }
    }

    /**
     * @param  list<Device>  $devices
     * @param  'rateHz'|'bits'  $what
     * @return iterable<Finding>
     */
    private function differing(Inspection $in, string $unit, array $devices, string $what): iterable
    {
        $by = [];
        foreach ($devices as $device) {
            $value = $device->settings?->{$what};
            if ($value !== null) {
                $by[$value][] = $device;
            }
        }
        if (count($by) < 2) {
            return;
        }
        // What most have, and of as many the better, is what the others are to have.
        krsort($by);
        uasort($by, fn (array $a, array $b) => count($b) <=> count($a));
        $to = array_key_first($by);
        $others = array_merge(...array_values(array_diff_key($by, [$to => true])));
        $said = array_map(
            fn (array $alike, int $value) => "{$alike[0]->name()} at ".self::words($what, $value),
            $by,
            array_keys($by),
        );
        yield new Finding(
            $this->code(),
            $what === 'rateHz' ? Severity::Risk : Severity::Note,
            "{$in->rig->units[$unit]->name} uses ".Listing::of($said),
            $what === 'rateHz'
                ? 'One of them is converted on the way: it costs quality, and the two drift apart where their clocks do.'
                : 'The one with fewer bits sets the noise floor of all that passes it.',
            [new UnitRef($unit), ...array_map(fn (Device $one) => $one->ref, $others)],
            [],
            [new Proposal(
                'Set '.Listing::of(array_map(fn (Device $one) => $one->name(), $others)).' to '.self::words($what, $to),
                array_map(fn (Device $one) => new SetDevice(
                    SetDevice::of($in->rig, new DeviceSettings($one->computer, $one->ref))->with(...[$what => $to]),
                ), $others),
                Cost::SYSTEM,
            )],
        );
    }

    private static function words(string $what, int $value): string
    {
        return $what === 'bits' ? "{$value} bits" : round($value / 1000, 1).' kHz';
    }
}

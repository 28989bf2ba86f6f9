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

/** Two devices of one computer that can't be distinguished in its list. */
final readonly class SameName implements Check
{
    public function code(): string
    {
        return 'computer.same-name';
    }

    public function findings(Inspection $in): iterable
    {
        foreach ($in->base()->graph()->devices->all() as $computer => $devices) {
            $named = [];
            foreach ($devices as $device) {
                if ($device->isUsable()) {
                    $named["{$device->direction->value} ".mb_strtolower($device->name())][] = $device;
                }
            }
            foreach ($named as $alike) {
                if (count($alike) > 1) {
                    yield $this->finding($in, (string) $computer, $alike);
                }
            }
        }
    }

    /** @param  non-empty-list<Device>  $alike */
    private function finding(Inspection $in, string $computer, array $alike): Finding
    {
        $host = $in->rig->units[$computer]->name;
        $units = array_values(array_unique(array_map(fn (Device $one) => $in->rig->units[$one->ref->unit]->name, $alike)));
        $named = array_map(
            fn (Device $one, int $i) => new SetDevice(SetDevice::of($in->rig, new DeviceSettings($computer, $one->ref))->with(
                name: $one->name().' ('.(count($units) === count($alike) ? $in->rig->units[$one->ref->unit]->name : (string) ($i + 1)).')',
            )),
            $alike,
            array_keys($alike),
        );

        return new Finding(
            $this->code(),
            Severity::Risk,
            "{$host} lists ".count($alike)." {$alike[0]->direction->value} devices as {$alike[0]->name()}"
                .(count($units) > 1 ? ', of '.Listing::of($units) : ''),
            'Nobody can tell which one a program has chosen, and after a restart it may be the other. Name them apart.',
            array_map(fn (Device $one) => $one->ref, $alike),
            [],
            [new Proposal("Name them apart on {$host}", $named, Cost::SYSTEM)],
        );
    }
}

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
use HiddenWire\Core\Rig\DeviceRef;
use HiddenWire\Core\Rig\DeviceSettings;
use HiddenWire\Core\Rig\UnitRef;
use HiddenWire\Core\Signal\HopKind;

/** Devices of one program that run at different sample rates, or one with fewer bits than those beside it. */
final readonly class Format implements Check
{
    public function code(): string
    {
        return 'computer.format';
    }

    public function findings(Inspection $in): iterable
    {
        $graph = $in->base()->graph();
        $told = [];
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
            foreach ($this->differing($in, $unit->id, array_values($devices), 'bits') as $finding) {
                $told += array_fill_keys(array_keys($devices), true);
                yield $finding;
            }
        }
        yield from $this->along($in, $told);
    }

    /**
     * A device on the way of a wanted sound that has fewer bits than what comes before it: not where one program shows that already.
     *
     * @param  array<string, true>  $told  references of devices that are reported
     * @return iterable<Finding>
     */
    private function along(Inspection $in, array $told): iterable
    {
        $hearing = $in->base();
        foreach ($hearing->all() as $pair) {
            $arrival = $pair->meetsMust() ? $pair->arrivals()[0] ?? null : null;
            $best = $first = null;
            foreach ($arrival?->hopsOf(HopKind::Device) ?? [] as $hop) {
                $device = $hop->at instanceof DeviceRef ? $this->listed($in, $hop->at) : null;
                $bits = $device?->settings?->bits;
                if ($device === null || $bits === null) {
                    continue;
                }
                if ($best !== null && $first !== null && $bits < $best && ! isset($told[(string) $device->ref])) {
                    $told[(string) $device->ref] = true;
                    yield new Finding(
                        $this->code(),
                        Severity::Note,
                        "{$pair->source->name} comes with {$best} bits from {$first->name()}, and goes on with {$bits} by "
                            .$device->name(),
                        'What is behind it has the noise of the fewer bits, however many it has itself.',
                        [$first->ref, $device->ref],
                        [],
                        [new Proposal(
                            "Set {$device->name()} to ".self::words('bits', $best),
                            [new SetDevice(
                                SetDevice::of($in->rig, new DeviceSettings($device->computer, $device->ref))->with(bits: $best),
                            )],
                            Cost::SYSTEM,
                        )],
                    );
                }
                if ($best === null || $bits > $best) {
                    [$best, $first] = [$bits, $device];
                }
            }
        }
    }

    private function listed(Inspection $in, DeviceRef $ref): ?Device
    {
        foreach ($in->base()->graph()->devices->all() as $list) {
            if (isset($list[(string) $ref])) {
                return $list[(string) $ref];
            }
        }

        return null;
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

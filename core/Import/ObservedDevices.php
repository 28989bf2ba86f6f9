<?php

declare(strict_types=1);

namespace HiddenWire\Core\Import;

use HiddenWire\Core\Devices\Device;
use HiddenWire\Core\Edit\EnableDevice;
use HiddenWire\Core\Edit\RigEdit;
use HiddenWire\Core\Edit\SetDevice;
use HiddenWire\Core\Equipment\Direction;
use HiddenWire\Core\Rig\DeviceSettings;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Role;

/** A computer's device list as it was seen against the planned one. */
final readonly class ObservedDevices
{
    /** @var list<DeviceDifference> the worst first: what is missing, what is another, what only looks otherwise */
    public array $differences;

    /** How many devices are as planned, in name and direction. */
    public int $found;

    /** @param  array<string, Device>  $planned  the computer's devices, by reference */
    public function __construct(private Rig $rig, private string $computer, private array $planned, DeviceListing $seen)
    {
        $expected = array_filter($planned, fn (Device $one) => $one->isConnected && $one->isEnabled());
        $pairs = $this->matched($expected, $seen->devices);
        $of = fn (string $ref): ?SeenDevice => isset($pairs[$ref]) ? $seen->devices[$pairs[$ref]] : null;
        $left = array_diff_key($seen->devices, array_flip($pairs));
        $this->differences = [
            ...$this->missing(array_filter($expected, fn (Device $one) => $of((string) $one->ref)?->isEnabled !== true), $of),
            ...$this->defaults($expected, $of, $seen->devices),
            ...$this->alike($seen->devices),
            ...$this->renamed($expected, $of),
            ...$this->formats($expected, $of),
            ...$this->unexpected($left),
        ];
        $this->found = count($pairs);
    }

    /**
     * Each planned device with the seen one that it is: by its name, by the system's, then by either without what tells alike ones apart.
     *
     * @param  array<string, Device>  $expected
     * @param  list<SeenDevice>  $seen
     * @return array<string, int> places in what was seen, by reference
     */
    private function matched(array $expected, array $seen): array
    {
        $pairs = $taken = [];
        $rounds = [
            fn (Device $one): array => [[mb_strtolower($one->name())], fn (SeenDevice $is) => mb_strtolower(trim($is->name))],
            fn (Device $one): array => [[mb_strtolower($one->systemName)], fn (SeenDevice $is) => mb_strtolower(trim($is->name))],
            fn (Device $one): array => [
                [SeenDevice::bare($one->name()), SeenDevice::bare($one->systemName)], fn (SeenDevice $is) => SeenDevice::bare($is->name),
            ],
        ];
        foreach ($rounds as $round) {
            foreach (array_diff_key($expected, $pairs) as $ref => $device) {
                [$names, $named] = $round($device);
                foreach ($seen as $place => $is) {
                    if (! isset($taken[$place]) && $is->direction === $device->direction && in_array($named($is), $names, true)) {
                        [$pairs[$ref], $taken[$place]] = [$place, true];

                        break;
                    }
                }
            }
        }

        return $pairs;
    }

    /**
     * @param  array<string, Device>  $missing
     * @param  callable(string): ?SeenDevice  $of
     * @return list<DeviceDifference>
     */
    private function missing(array $missing, callable $of): array
    {
        return array_values(array_map(fn (Device $one) => $of((string) $one->ref) === null
            ? new DeviceDifference(
                DeviceTrouble::Missing,
                "{$one->name()} ({$one->direction->value}) is planned, and not in the list",
                'See that it is plugged in, has power and its driver, and is not hidden. Programs that use it get nothing.',
                $this->enabled($one, false),
            )
            : new DeviceDifference(
                DeviceTrouble::Disabled,
                "{$one->name()} ({$one->direction->value}) is disabled there",
                'Enable it in the system\'s list of devices.',
                $this->enabled($one, false),
            ), $missing));
    }

    /**
     * @param  array<string, Device>  $expected
     * @param  callable(string): ?SeenDevice  $of
     * @param  list<SeenDevice>  $seen
     * @return list<DeviceDifference>
     */
    private function defaults(array $expected, callable $of, array $seen): array
    {
        $differences = [];
        foreach (Direction::cases() as $direction) {
            $own = $direction === Direction::Playback ? Role::Playback : Role::Recording;
            foreach ([$own, Role::Call] as $role) {
                $is = array_values(array_filter(
                    $seen,
                    fn (SeenDevice $one) => $one->direction === $direction && in_array($role, $one->roles, true),
                ))[0] ?? null;
                $planned = array_values(array_filter(
                    $expected,
                    fn (Device $one) => $one->direction === $direction && $one->has($role),
                ))[0] ?? null;
                // A list that names no default says nothing of it.
                if ($is === null || $planned === null || $of((string) $planned->ref) === $is) {
                    continue;
                }
                $what = $direction->value.' default'.($role === Role::Call ? ' for calls' : '');
                $instead = array_values(array_filter($expected, fn (Device $one) => $of((string) $one->ref) === $is))[0] ?? null;
                $differences[] = new DeviceDifference(
                    DeviceTrouble::WrongDefault,
                    "The {$what} is {$is->name}, and {$planned->name()} is planned",
                    "Make {$planned->name()} the {$what}: programs that follow it use the other.",
                    $instead === null ? null : $this->set($instead, fn (DeviceSettings $one) => $one->with(
                        roles: [...array_values(array_filter($one->roles, fn (Role $had) => $had !== $role)), $role],
                    )),
                );
            }
        }

        return $differences;
    }

    /**
     * @param  list<SeenDevice>  $seen
     * @return list<DeviceDifference>
     */
    private function alike(array $seen): array
    {
        $counts = array_count_values(array_map(fn (SeenDevice $one) => "{$one->direction->value} {$one->name}", $seen));
        $differences = [];
        foreach (array_filter($counts, fn (int $count) => $count > 1) as $name => $count) {
            [$direction, $device] = explode(' ', (string) $name, 2);
            $differences[] = new DeviceDifference(
                DeviceTrouble::Alike,
                "{$device} ({$direction}) is there {$count} times under one name",
                'Nobody can tell them apart in a program. Give each a name of its own.',
            );
        }

        return $differences;
    }

    /**
     * @param  array<string, Device>  $expected
     * @param  callable(string): ?SeenDevice  $of
     * @return list<DeviceDifference>
     */
    private function renamed(array $expected, callable $of): array
    {
        $differences = [];
        foreach ($expected as $one) {
            $is = $of((string) $one->ref);
            if ($is !== null && mb_strtolower(trim($is->name)) !== mb_strtolower($one->name())) {
                $differences[] = new DeviceDifference(
                    DeviceTrouble::Renamed,
                    "{$one->name()} ({$one->direction->value}) is called {$is->name} there",
                    "Call it {$one->name()} again: programs that choose by name don't find it.",
                    $this->set($one, fn (DeviceSettings $set) => $set->with(name: trim($is->name))),
                );
            }
        }

        return $differences;
    }

    /**
     * @param  array<string, Device>  $expected
     * @param  callable(string): ?SeenDevice  $of
     * @return list<DeviceDifference>
     */
    private function formats(array $expected, callable $of): array
    {
        $differences = [];
        foreach ($expected as $one) {
            $is = $of((string) $one->ref);
            $set = $one->settings;
            $rate = $is?->rateHz !== null && $set?->rateHz !== null && $is->rateHz !== $set->rateHz;
            $bits = $is?->bits !== null && $set?->bits !== null && $is->bits !== $set->bits;
            if ($is !== null && $set !== null && ($rate || $bits)) {
                $said = fn (?int $hz, ?int $depth): string => implode(', ', array_filter([
                    $rate ? "{$hz} Hz" : '', $bits ? "{$depth} bit" : '',
                ]));
                $differences[] = new DeviceDifference(
                    DeviceTrouble::OtherFormat,
                    "{$one->name()} ({$one->direction->value}) runs at {$said($is->rateHz, $is->bits)}, and "
                        ."{$said($set->rateHz, $set->bits)} is planned",
                    'Set its format in the system: what runs at another rate is converted, or refused.',
                    $this->set($one, fn (DeviceSettings $had) => $had->with(
                        rateHz: $is->rateHz ?? $had->rateHz,
                        bits: $is->bits ?? $had->bits,
                    )),
                );
            }
        }

        return $differences;
    }

    /**
     * @param  array<int, SeenDevice>  $left
     * @return list<DeviceDifference>
     */
    private function unexpected(array $left): array
    {
        $differences = [];
        foreach ($left as $is) {
            $isCalled = fn (Device $one): bool => in_array(
                SeenDevice::bare($is->name),
                [SeenDevice::bare($one->name()), SeenDevice::bare($one->systemName)],
                true,
            );
            $disabled = array_values(array_filter($this->planned, fn (Device $one) => $one->isConnected && ! $one->isEnabled()
                && $one->direction === $is->direction && $isCalled($one)))[0] ?? null;
            if ($disabled !== null && $is->isEnabled) {
                $differences[] = new DeviceDifference(
                    DeviceTrouble::Listed,
                    "{$disabled->name()} ({$is->direction->value}) is disabled in the plan, and listed there",
                    'Disable it: a program may take it by itself.',
                    $this->enabled($disabled, true),
                );
            } elseif ($disabled === null && $is->isEnabled) {
                $differences[] = new DeviceDifference(
                    DeviceTrouble::Unexpected,
                    "{$is->name} ({$is->direction->value}) is in the list, and not planned",
                    'Find what brings it: a unit that nobody has entered, or a program. It may take the defaults over.',
                );
            }
        }

        return $differences;
    }

    private function enabled(Device $device, bool $isEnabled): RigEdit
    {
        return new EnableDevice($this->computer, $device->ref, $isEnabled);
    }

    /** @param  callable(DeviceSettings): DeviceSettings  $change */
    private function set(Device $device, callable $change): RigEdit
    {
        return new SetDevice($change(SetDevice::of($this->rig, new DeviceSettings($this->computer, $device->ref))));
    }
}

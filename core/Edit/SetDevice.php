<?php

declare(strict_types=1);

namespace HiddenWire\Core\Edit;

use HiddenWire\Core\Devices\DeviceLists;
use HiddenWire\Core\Rig\DeviceSettings;
use HiddenWire\Core\Rig\Names;
use HiddenWire\Core\Rig\Processing;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Role;
use HiddenWire\Core\Rig\Wiring;

/** The user's settings of a device on a computer. Of a role the computer has one device a direction: whoever had it before gives it up. */
final readonly class SetDevice implements RigEdit
{
    public function __construct(public DeviceSettings $settings)
    {
    }

    public function applyTo(Rig $rig): Rig
    {
        $set = $this->settings;
        $list = (new DeviceLists($rig, new Wiring($rig)))->of($set->computer);
        $direction = ($list[(string) $set->device] ?? null)?->direction;
        $devices = [];
        $isSet = false;
        foreach ($rig->devices as $one) {
            if ($one->computer === $set->computer && (string) $one->device === (string) $set->device) {
                $devices[] = $set;
                $isSet = true;
            } elseif ($one->computer === $set->computer && ($list[(string) $one->device] ?? null)?->direction === $direction) {
                $devices[] = $one->with(roles: array_values(array_filter(
                    $one->roles,
                    fn (Role $role) => ! in_array($role, $set->roles, true),
                )));
            } else {
                $devices[] = $one;
            }
        }

        return new Rig($rig->parts()->with(devices: $isSet ? $devices : [...$devices, $set]));
    }

    public function words(Rig $rig): string
    {
        $set = $this->settings;
        $was = self::of($rig, $set);
        $roles = fn (DeviceSettings $one): string => implode(' and ', array_map(fn (Role $role) => $role->value, $one->roles));
        $changed = array_filter([
            $was->name === $set->name ? '' : ($set->name === '' ? 'no name of its own' : "renamed to {$set->name}"),
            $was->enabled === $set->enabled ? '' : ($set->enabled ? 'enabled' : 'disabled'),
            $roles($was) === $roles($set) ? '' : ($set->roles === [] ? 'no default' : "default for {$roles($set)}"),
            $was->rateHz === $set->rateHz && $was->bits === $set->bits
                ? ''
                : trim(($set->rateHz === null ? '' : "{$set->rateHz} Hz").' '.($set->bits === null ? '' : "{$set->bits} bits")),
            $was->driverMode === $set->driverMode
                ? ''
                : ($set->driverMode === null ? 'driver mode not said' : "{$set->driverMode->value} driver mode"),
            $was->unlisted === $set->unlisted ? '' : ($set->unlisted?->words() ?? 'in the list'),
            $was->processing === $set->processing
                ? ''
                : (implode(' and ', array_map(fn (Processing $one) => $one->words(), $set->processing)) ?: 'no processing'),
        ]);

        return "{$rig->units[$set->computer]->name}: ".(new Names($rig))->of($set->device).' '.(implode(', ', $changed) ?: 'as before');
    }

    /** What is set on the device now. */
    public static function of(Rig $rig, DeviceSettings $like): DeviceSettings
    {
        foreach ($rig->devices as $one) {
            if ($one->computer === $like->computer && (string) $one->device === (string) $like->device) {
                return $one;
            }
        }

        return new DeviceSettings($like->computer, $like->device);
    }
}

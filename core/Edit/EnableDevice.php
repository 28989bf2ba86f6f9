<?php

declare(strict_types=1);

namespace HiddenWire\Core\Edit;

use HiddenWire\Core\Rig\DeviceRef;
use HiddenWire\Core\Rig\DeviceSettings;
use HiddenWire\Core\Rig\Rig;

/** Enables or disables a device on a computer. */
final readonly class EnableDevice implements RigEdit
{
    public function __construct(public string $computer, public DeviceRef $device, public bool $isEnabled)
    {
    }

    public function applyTo(Rig $rig): Rig
    {
        $devices = [];
        $isSet = false;
        foreach ($rig->devices as $one) {
            $isThis = $one->computer === $this->computer && (string) $one->device === (string) $this->device;
            $devices[] = $isThis ? new DeviceSettings($one->computer, $one->device, $one->name, $this->isEnabled, $one->roles, $one->rateHz, $one->bits, $one->driverMode) : $one;
            $isSet = $isSet || $isThis;
        }
        if (! $isSet) {
            $devices[] = new DeviceSettings($this->computer, $this->device, enabled: $this->isEnabled);
        }

        return new Rig($rig->parts()->with(devices: $devices));
    }

    public function words(Rig $rig): string
    {
        return "{$rig->units[$this->computer]->name}: {$this->device} ".($this->isEnabled ? 'enabled' : 'disabled');
    }
}

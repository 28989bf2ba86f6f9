<?php

declare(strict_types=1);

namespace HiddenWire\Core\Edit;

use HiddenWire\Core\Rig\DeviceRef;
use HiddenWire\Core\Rig\DeviceSettings;
use HiddenWire\Core\Rig\Names;
use HiddenWire\Core\Rig\Rig;

/** Enables or disables a device on a computer, shows one that is hidden, and leaves what else is set on it. */
final readonly class EnableDevice implements RigEdit
{
    public function __construct(public string $computer, public DeviceRef $device, public bool $isEnabled)
    {
    }

    public function applyTo(Rig $rig): Rig
    {
        return $this->whole($rig)->applyTo($rig);
    }

    public function words(Rig $rig): string
    {
        return "{$rig->units[$this->computer]->name}: ".(new Names($rig))->of($this->device).' '
            .($this->isEnabled ? 'enabled' : 'disabled');
    }

    private function whole(Rig $rig): SetDevice
    {
        return new SetDevice(SetDevice::of($rig, new DeviceSettings($this->computer, $this->device))->with(
            enabled: $this->isEnabled,
            unlisted: null,
        ));
    }
}

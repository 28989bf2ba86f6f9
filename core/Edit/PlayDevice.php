<?php

declare(strict_types=1);

namespace HiddenWire\Core\Edit;

use HiddenWire\Core\Rig\DeviceRef;
use HiddenWire\Core\Rig\DeviceSettings;
use HiddenWire\Core\Rig\Names;
use HiddenWire\Core\Rig\Rig;

/** Lets a system play a recording device to a playback device by itself, or no longer. */
final readonly class PlayDevice implements RigEdit
{
    /** @param  DeviceRef|null  $to  null for no longer */
    public function __construct(public string $computer, public DeviceRef $device, public ?DeviceRef $to)
    {
    }

    public function applyTo(Rig $rig): Rig
    {
        $set = SetDevice::of($rig, new DeviceSettings($this->computer, $this->device));

        return (new SetDevice($set->with(playsTo: $this->to)))->applyTo($rig);
    }

    public function words(Rig $rig): string
    {
        $names = new Names($rig);

        return "{$rig->units[$this->computer]->name}: {$names->of($this->device)} "
            .($this->to === null ? 'is no longer played by the system' : "is played to {$names->of($this->to)} by the system");
    }
}

<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig;

use HiddenWire\Core\Equipment\Direction;
use HiddenWire\Core\With;

/** In a situation a computer's default for playback, recording or calls is another device than in the base. */
final readonly class SituationDefault
{
    use With;

    /** @param  Direction  $direction  the device's: calls have a default for each */
    public function __construct(public string $computer, public Direction $direction, public Role $role, public DeviceRef $device)
    {
    }

    /** What it is about: of one computer, direction and role a situation has one default. */
    public function slot(): string
    {
        return "{$this->computer} {$this->direction->value} {$this->role->value}";
    }

    /** "the default recording device for calls" */
    public function what(): string
    {
        return "the default {$this->direction->value} device".($this->role === Role::Call ? ' for calls' : '');
    }

    /** In words: "Laptop: the default recording device is headset/usb/mic". */
    public function words(Rig $rig): string
    {
        return "{$rig->units[$this->computer]->name}: {$this->what()} is ".(new Names($rig))->of($this->device);
    }
}

<?php

declare(strict_types=1);

namespace HiddenWire\Core\Edit;

use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Rig\DeviceRef;
use HiddenWire\Core\Rig\DeviceSettings;
use HiddenWire\Core\Rig\Names;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Situation;
use HiddenWire\Core\Rig\SystemLevel;

/** The system's own level and mute of a device: for good, or in a situation. */
final readonly class SetSystemLevel implements RigEdit
{
    /**
     * @param  Decibels|null  $db  null for as it comes; in a situation for as in the default
     * @param  bool|null  $mute  null leaves it; in a situation it is as in the default then
     */
    public function __construct(
        public string $computer,
        public DeviceRef $device,
        public ?Decibels $db,
        public ?bool $mute,
        public ?string $situation = null,
    ) {
    }

    public function applyTo(Rig $rig): Rig
    {
        if ($this->situation === null) {
            $set = SetDevice::of($rig, new DeviceSettings($this->computer, $this->device));

            return (new SetDevice($set->with(db: $this->db, mute: $this->mute ?? $set->mute)))->applyTo($rig);
        }
        $level = new SystemLevel($this->computer, $this->device, $this->db, $this->mute);

        return new Rig($rig->parts()->changing('situations', $this->situation, function (Situation $situation) use ($level): Situation {
            $others = array_values(array_filter($situation->levels, fn (SystemLevel $one) => $one->slot() !== $level->slot()));

            return $situation->with(levels: $level->db === null && $level->mute === null ? $others : [...$others, $level]);
        }));
    }

    public function words(Rig $rig): string
    {
        $said = SystemLevel::said($this->db, $this->mute);
        $usual = $this->situation === null ? 'as usual' : 'as in the default';

        return "{$rig->units[$this->computer]->name}: ".(new Names($rig))->of($this->device).' in the system '
            .($said !== '' ? $said : $usual).Settings::where($rig, $this->situation);
    }
}

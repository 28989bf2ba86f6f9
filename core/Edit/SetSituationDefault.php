<?php

declare(strict_types=1);

namespace HiddenWire\Core\Edit;

use HiddenWire\Core\Equipment\Direction;
use HiddenWire\Core\Rig\DeviceRef;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Role;
use HiddenWire\Core\Rig\Situation;
use HiddenWire\Core\Rig\SituationDefault;

/** Which device is a computer's default in a situation; null as in the default. */
final readonly class SetSituationDefault implements RigEdit
{
    public function __construct(
        public string $situation,
        public string $computer,
        public Direction $direction,
        public Role $role,
        public ?DeviceRef $device,
    ) {
    }

    public function applyTo(Rig $rig): Rig
    {
        return new Rig($rig->parts()->changing('situations', $this->situation, function (Situation $situation): Situation {
            $set = $this->device === null ? null : $this->set($this->device);
            $slot = "{$this->computer} {$this->direction->value} {$this->role->value}";
            $others = array_values(array_filter($situation->defaults, fn (SituationDefault $one) => $one->slot() !== $slot));

            return $situation->with(defaults: $set === null ? $others : [...$others, $set]);
        }));
    }

    public function words(Rig $rig): string
    {
        $where = " in {$rig->situations[$this->situation]->name}";
        if ($this->device !== null) {
            return $this->set($this->device)->words($rig).$where;
        }
        $what = "the default {$this->direction->value} device".($this->role === Role::Call ? ' for calls' : '');

        return "{$rig->units[$this->computer]->name}: {$what} reset to the default{$where}";
    }

    private function set(DeviceRef $device): SituationDefault
    {
        return new SituationDefault($this->computer, $this->direction, $this->role, $device);
    }
}

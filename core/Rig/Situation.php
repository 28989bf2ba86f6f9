<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig;

use HiddenWire\Core\Equipment\Direction;
use HiddenWire\Core\With;

/** A named state of the whole rig: what differs from the base state. The first situation of a rig is its base. */
final readonly class Situation
{
    use With;

    /**
     * @param  array<int, Change>  $changes
     * @param  list<string>  $absent  ids of units that are not there then, or programs that do not run
     * @param  list<string>  $pulled  ids of cables that are out then
     * @param  array<int, SituationDefault>  $defaults  defaults of computers that are others then
     * @param  array<int, SettingValue>  $settings  named settings that stand otherwise then
     * @param  array<int, EffectSwitch>  $effects  effects that are on, or bypassed, then
     * @param  array<int, SceneChoice>  $scenes  scenes that programs show then
     * @param  list<string>  $plugged  ids of cables in the order in which they are plugged in, after all others: a tablet takes the last
     * @param  array<int, SystemLevel>  $levels  levels and mutes of devices, in the system itself, that are others then
     */
    public function __construct(
        public string $id,
        public string $name,
        public array $changes = [],
        public array $absent = [],
        public array $pulled = [],
        public array $defaults = [],
        public array $levels = [],
        public array $settings = [],
        public array $plugged = [],
        public array $effects = [],
        public array $scenes = [],
    ) {
    }

    /** The device that is a computer's default then; null where it is as in the default. */
    public function defaultFor(string $computer, Direction $direction, Role $role): ?DeviceRef
    {
        $slot = "{$computer} {$direction->value} {$role->value}";
        foreach ($this->defaults as $default) {
            if ($default->slot() === $slot) {
                return $default->device;
            }
        }

        return null;
    }

    /** @param  list<string>  $cables  that are no longer in the rig */
    public function without(array $cables): self
    {
        return $this->with(
            pulled: array_values(array_diff($this->pulled, $cables)),
            plugged: array_values(array_diff($this->plugged, $cables)),
        );
    }

    /** Whether anything is otherwise than in the base. */
    public function isLikeBase(): bool
    {
        return $this->changes === [] && $this->absent === [] && $this->pulled === [] && $this->defaults === []
            && $this->levels === [] && $this->settings === [] && $this->plugged === [] && $this->effects === []
            && $this->scenes === [];
    }
}

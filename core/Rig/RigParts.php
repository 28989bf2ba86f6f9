<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig;

use HiddenWire\Core\Equipment\EquipmentModel;

/** Everything that a rig is made of, not yet known to fit together. Keys are positions, kept so that a problem can name its place. */
final readonly class RigParts
{
    /**
     * @param  array<int, Place>  $places
     * @param  array<string, EquipmentModel>  $models
     * @param  array<int, Unit>  $units
     * @param  array<int, Cable>  $cables
     * @param  array<int, DeviceSettings>  $devices
     * @param  array<int, Pick>  $picks
     * @param  array<int, AirPath>  $air
     * @param  array<int, Source>  $sources
     * @param  array<int, Listener>  $listeners
     * @param  array<int, Wish>  $wishes
     * @param  array<int, Situation>  $situations
     */
    public function __construct(
        public string $name,
        public string $summary = '',
        public array $places = [],
        public array $models = [],
        public array $units = [],
        public array $cables = [],
        public array $devices = [],
        public array $picks = [],
        public array $air = [],
        public array $sources = [],
        public array $listeners = [],
        public array $wishes = [],
        public array $situations = [],
    ) {
    }

    /**
     * The parts with some replaced; what is null stays.
     *
     * @param  array<int, Place>|null  $places
     * @param  array<string, EquipmentModel>|null  $models
     * @param  array<int, Unit>|null  $units
     * @param  array<int, Cable>|null  $cables
     * @param  array<int, DeviceSettings>|null  $devices
     * @param  array<int, Pick>|null  $picks
     * @param  array<int, AirPath>|null  $air
     * @param  array<int, Source>|null  $sources
     * @param  array<int, Listener>|null  $listeners
     * @param  array<int, Wish>|null  $wishes
     * @param  array<int, Situation>|null  $situations
     */
    public function with(
        ?array $places = null, ?array $models = null, ?array $units = null, ?array $cables = null, ?array $devices = null, ?array $picks = null, ?array $air = null, ?array $sources = null,
        ?array $listeners = null, ?array $wishes = null, ?array $situations = null,
    ): self {
        return new self($this->name, $this->summary, $places ?? $this->places, $models ?? $this->models, $units ?? $this->units, $cables ?? $this->cables, $devices ?? $this->devices,
            $picks ?? $this->picks, $air ?? $this->air, $sources ?? $this->sources, $listeners ?? $this->listeners, $wishes ?? $this->wishes, $situations ?? $this->situations);
    }
}

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
}

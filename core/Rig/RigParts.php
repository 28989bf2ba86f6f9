<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig;

use HiddenWire\Core\Equipment\EquipmentModel;
use HiddenWire\Core\With;

/** Everything that a rig is made of, not yet known to fit together. Keys are positions, kept so that a problem can name its place. */
final readonly class RigParts
{
    use With;

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
     * @param  array<int, Balance>  $balances
     * @param  array<int, Control>  $controls
     * @param  list<string>|null  $tolerated  faults (see {@see Problem}) that the rig has had since before they were refused: they may
     *     stay; null tolerates all
     * @param  Rig|null  $from  the rig that they were made from: what is not altered since fits together
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
        public ?array $tolerated = [],
        public Papers $papers = new Papers,
        public array $balances = [],
        public array $controls = [],
        public ?Days $days = null,
        public ?Rig $from = null,
    ) {
    }

    /**
     * The parts with one thing of a collection made anew.
     *
     * @param  'places'|'units'|'cables'|'sources'|'listeners'|'situations'  $collection
     * @param  \Closure(never): object  $change  gets the thing, gives its successor
     */
    public function changing(string $collection, string $id, \Closure $change): self
    {
        /** @var \Closure(object): object $change */
        return $this->with(...[$collection => array_map(
            fn (object $thing) => property_exists($thing, 'id') && $thing->id === $id ? $change($thing) : $thing,
            $this->{$collection},
        )]);
    }

    /**
     * The parts without one thing of a collection.
     *
     * @param  'places'|'units'|'cables'|'sources'|'listeners'|'situations'  $collection
     */
    public function without(string $collection, string $id): self
    {
        return $this->with(...[$collection => array_values(array_filter(
            $this->{$collection},
            fn (object $thing) => ! property_exists($thing, 'id') || $thing->id !== $id,
        ))]);
    }
}

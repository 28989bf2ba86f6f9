<?php

declare(strict_types=1);

namespace HiddenWire\Core\Signal;

use HiddenWire\Core\Equipment\Realm;
use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Quantity\Milliseconds;
use HiddenWire\Core\Rig\AirRef;
use HiddenWire\Core\Rig\CableRef;
use HiddenWire\Core\Rig\DeviceRef;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\RouteRef;
use HiddenWire\Core\Rig\UnitRef;

/** One step of a way: the element, what it adds, and where the level and the delay stand behind it. */
final readonly class Hop
{
    /** The element's reference as text. */
    public string $ref;

    /**
     * @param  PointRef|null  $pick  for a program's pick, the program's point
     * @param  int  $leaving  the channels of the point or device before it that the signal leaves by: bit c for channel c
     * @param  string|null  $effect  the id of the effect that it is, of its unit
     * @param  float|null  $roomDb  dB above nominal that the input takes which it leads to; null for as much as usual
     */
    public function __construct(
        public HopKind $kind,
        public PointRef|RouteRef|CableRef|DeviceRef|UnitRef|AirRef $at,
        public string $label,
        public Realm $realm,
        public Decibels $gain,
        public Milliseconds $delay,
        public Decibels $level,
        public Milliseconds $time,
        public ?PointRef $pick = null,
        public int $leaving = 0,
        public ?float $roomDb = null,
        public ?string $effect = null,
    ) {
        $this->ref = (string) $at;
    }

    /** @return list<string> ids of the units that it passes; none of a cable */
    public function units(): array
    {
        $at = $this->at;
        $units = match (true) {
            $at instanceof CableRef => [],
            $at instanceof AirRef => [$at->from->unit, $at->to->unit],
            default => [$at->unit],
        };

        return $this->pick === null ? $units : [...$units, $this->pick->unit];
    }

    /** Whether it is the same step of the rig as another, at whatever level. */
    public function isSameStepAs(self $other): bool
    {
        return $this->kind === $other->kind && $this->ref === $other->ref && (string) $this->pick === (string) $other->pick;
    }
}

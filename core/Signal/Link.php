<?php

declare(strict_types=1);

namespace HiddenWire\Core\Signal;

use HiddenWire\Core\Equipment\Realm;
use HiddenWire\Core\Rig\AirRef;
use HiddenWire\Core\Rig\CableRef;
use HiddenWire\Core\Rig\DeviceRef;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\RouteRef;
use HiddenWire\Core\Rig\UnitRef;

/**
 * One step between two nodes of the graph, and the thing of the rig that it comes from. A blocked link carries nothing, but the graph
 * still knows it, so that "why not" has an answer.
 */
final readonly class Link
{
    /**
     * @param  int  $from  node
     * @param  int  $to  node
     * @param  list<array{int, int, float}>  $map  (channel of from, channel of to, amplitude factor), channels from 0
     * @param  float  $gainDb  on top of the map's factors
     * @param  PointRef|RouteRef|CableRef|DeviceRef|UnitRef|AirRef  $at  the element of the rig that it comes from
     * @param  PointRef|null  $pick  where a link is a program's pick: the program's point
     * @param  float|null  $roomDb  dB above nominal that the input takes which it leads to; null for as much as usual
     * @param  string|null  $effect  the id of the effect that it is, of its unit; null for anything else
     * @param  string|null  $clock  the unit whose converter clock the signal passes; null where no clock of its own is passed
     */
    public function __construct(
        public int $from,
        public int $to,
        public array $map,
        public float $gainDb,
        public float $delayMs,
        public HopKind $kind,
        public PointRef|RouteRef|CableRef|DeviceRef|UnitRef|AirRef $at,
        public string $label,
        public Realm $realm,
        public ?BlockKind $block = null,
        public ?PointRef $pick = null,
        public ?string $clock = null,
        public ?float $roomDb = null,
        public ?string $effect = null,
    ) {
    }

    /** Whether it does the same to what passes as another between the same nodes. */
    public function isLike(self $other): bool
    {
        return $this->from === $other->from && $this->to === $other->to && $this->block === $other->block && $this->kind === $other->kind
            && $this->gainDb === $other->gainDb
            && $this->delayMs === $other->delayMs && $this->label === $other->label && $this->clock === $other->clock
            && $this->roomDb === $other->roomDb && $this->effect === $other->effect
                && $this->map === $other->map && (string) $this->at === (string) $other->at;
    }

    /** The same link carrying nothing, and why. */
    public function blockedBy(BlockKind $block): self
    {
        return new self(
            $this->from,
            $this->to,
            $this->map,
            $this->gainDb,
            $this->delayMs,
            $this->kind,
            $this->at,
            $this->label,
            $this->realm,
            $block,
            $this->pick,
            $this->clock,
            $this->roomDb,
            $this->effect,
        );
    }

    public function carries(): bool
    {
        return $this->block === null && $this->map !== [];
    }
}

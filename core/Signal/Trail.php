<?php

declare(strict_types=1);

namespace HiddenWire\Core\Signal;

use HiddenWire\Core\Equipment\Realm;
use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Quantity\Milliseconds;
use HiddenWire\Core\Rig\PointRef;

/** The steps walked so far. Shares its beginning with other trails; levels and delays are added up when it is asked for. */
final readonly class Trail
{
    /**
     * @param  Hop|null  $origin  where it begins; null for a way round a loop
     * @param  float  $gainDb  the link's gain and what its channel map did to this signal
     * @param  int  $leaving  the channels by which the signal leaves, as bits
     */
    private function __construct(
        private ?self $before,
        private ?Hop $origin,
        private ?Link $link = null,
        private float $gainDb = 0.0,
        private int $leaving = 0,
    ) {
    }

    public static function empty(): self
    {
        return new self(null, null);
    }

    public static function fromOrigin(PointRef $at, string $label, Decibels $level, Milliseconds $delay): self
    {
        return new self(null, new Hop(HopKind::Origin, $at, $label, Realm::Air, $level, $delay, $level, $delay));
    }

    public function along(Link $link, float $gainDb, int $leaving = 0): self
    {
        return new self($this, $this->origin, $link, $gainDb, $leaving);
    }

    /** @return list<Hop> */
    public function hops(): array
    {
        $steps = [];
        for ($trail = $this; $trail?->link !== null; $trail = $trail->before) {
            $steps[] = $trail;
        }
        $hops = $this->origin === null ? [] : [$this->origin];
        $level = $this->origin->level ?? Decibels::zero();
        $time = $this->origin->time ?? Milliseconds::zero();
        [$none, $atOnce] = [Decibels::zero(), Milliseconds::zero()];
        foreach (array_reverse($steps) as $step) {
            $link = $step->link;
            assert($link !== null, 'Steps have a link each');
            // Most steps change nothing: the state before them is the state after them.
            $gain = $none;
            if ($step->gainDb !== 0.0) {
                $gain = Decibels::of($step->gainDb);
                $level = $level->plus($gain);
            }
            $delay = $atOnce;
            if ($link->delayMs !== 0.0) {
                $delay = Milliseconds::of($link->delayMs);
                $time = $time->plus($delay);
            }
            $hops[] = new Hop(
                $link->kind,
                $link->at,
                $link->label,
                $link->realm,
                $gain,
                $delay,
                $level,
                $time,
                $link->pick,
                $step->leaving,
                $link->roomDb,
                $link->effect,
            );
        }

        return $hops;
    }
}

<?php

declare(strict_types=1);

namespace HiddenWire\Core\Signal;

use HiddenWire\Core\Equipment\Realm;
use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Quantity\Milliseconds;
use HiddenWire\Core\Rig\PointRef;

/** The steps walked so far, with the level and the delay that they add up to. Shares its beginning with other trails. */
final readonly class Trail
{
    public Decibels $level;

    public Milliseconds $time;

    private function __construct(private ?self $before, private ?Hop $hop)
    {
        $this->level = $hop->level ?? Decibels::zero();
        $this->time = $hop->time ?? Milliseconds::zero();
    }

    public static function empty(): self
    {
        return new self(null, null);
    }

    public static function fromOrigin(PointRef $at, string $label, Decibels $level, Milliseconds $delay): self
    {
        return new self(null, new Hop(HopKind::Origin, $at, $label, Realm::Air, $level, $delay, $level, $delay));
    }

    /**
     * @param  float  $gainDb  the link's gain and what its channel map did to this signal
     * @param  int  $leaving  the channels by which the signal leaves, as bits
     */
    public function along(Link $link, float $gainDb, int $leaving = 0): self
    {
        $gain = Decibels::of($gainDb);
        $delay = Milliseconds::of($link->delayMs);

        return new self($this, new Hop($link->kind, $link->at, $link->label, $link->realm, $gain, $delay, $this->level->plus($gain), $this->time->plus($delay), $link->pick, $leaving));
    }

    /** @return list<Hop> */
    public function hops(): array
    {
        $hops = [];
        for ($trail = $this; $trail !== null; $trail = $trail->before) {
            if ($trail->hop !== null) {
                $hops[] = $trail->hop;
            }
        }

        return array_reverse($hops);
    }
}

<?php

declare(strict_types=1);

namespace HiddenWire\Core\Equipment;

use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Quantity\Milliseconds;

/** A way from point to point inside one unit, as the unit comes: fixed unless `can` says what can be changed. */
final readonly class Route
{
    /** @param  list<RouteSetting>  $can */
    public function __construct(
        public string $from,
        public string $to,
        public bool $on,
        public Decibels $db,
        public Tap $tap,
        public ?ChannelMap $map,
        public ?string $group,
        public ?Milliseconds $delay,
        public array $can,
    ) {
    }

    public function key(): string
    {
        return $this->from.'>'.$this->to;
    }

    public function allows(RouteSetting $setting): bool
    {
        return in_array($setting, $this->can, true);
    }
}

<?php

declare(strict_types=1);

namespace HiddenWire\Core\Equipment;

/** What a setting does at one of its values: it switches a route, mutes a point, or puts a device into the list or out of it. */
final readonly class SettingEffect
{
    /**
     * @param  string|bool|float  $value  at which it does so
     * @param  string|null  $route  key of a route that is on or off then
     * @param  string|null  $point  a point that is muted then, or not
     * @param  string|null  $device  what gives a device, `socket/lane` or a point, that the system lists then, or does not
     * @param  bool  $on  whether the route is on, the point open, the device listed
     */
    public function __construct(
        public string|bool|float $value,
        public ?string $route,
        public ?string $point,
        public ?string $device,
        public bool $on,
    ) {
    }
}

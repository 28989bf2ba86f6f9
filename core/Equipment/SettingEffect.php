<?php

declare(strict_types=1);

namespace HiddenWire\Core\Equipment;

/**
 * What a setting does at one of its values: it switches a route, mutes a point, puts a device into the list or out of it, or lowers what
 * other programs play while a call runs.
 */
final readonly class SettingEffect
{
    /** So low is silent. */
    public const SILENT_DB = -200.0;

    /**
     * @param  string|bool|float  $value  at which it does so
     * @param  string|null  $route  key of a route that is on or off then
     * @param  string|null  $point  a point that is muted then, or not
     * @param  string|null  $device  what gives a device, `socket/lane` or a point, that the system lists then, or does not
     * @param  float|null  $othersDb  dB by which the system lowers what other programs play while a call program runs
     * @param  bool  $on  whether the route is on, the point open, the device listed
     */
    public function __construct(
        public string|bool|float $value,
        public ?string $route,
        public ?string $point,
        public ?string $device,
        public bool $on,
        public ?float $othersDb = null,
    ) {
    }
}

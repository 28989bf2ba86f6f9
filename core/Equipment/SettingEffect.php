<?php

declare(strict_types=1);

namespace HiddenWire\Core\Equipment;

/** What a setting does to the sound at one of its values: it switches a route, or mutes a point. */
final readonly class SettingEffect
{
    /**
     * @param  string|bool|float  $value  at which it does so
     * @param  string|null  $route  key of a route that is on or off then
     * @param  string|null  $point  a point that is muted then, or not
     * @param  bool  $on  whether the route is on, or the point open
     */
    public function __construct(public string|bool|float $value, public ?string $route, public ?string $point, public bool $on)
    {
    }
}

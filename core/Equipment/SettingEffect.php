<?php

declare(strict_types=1);

namespace HiddenWire\Core\Equipment;

/**
 * What a setting does at one of its values: it switches a route, mutes a point, puts a device into the list or out of it, lowers what other
 * programs play while a call runs, says what a socket is for, or where soloed points are taken.
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
     * @param  string|null  $socket  a socket that takes another kind of signal then, has phantom power or not, or gives coded sound
     * @param  SignalKind|null  $signal  what the socket takes then
     * @param  bool|null  $phantom  whether the socket has phantom power then
     * @param  bool  $isCoded  whether the socket then gives sound of several channels in a code that only decoders understand
     * @param  Tap|null  $soloTap  where soloed points are taken then: before or after their faders
     * @param  bool  $on  whether the route is on, the point open, the device listed
     */
    public function __construct(
        public string|bool|float $value,
        public ?string $route,
        public ?string $point,
        public ?string $device,
        public bool $on,
        public ?float $othersDb = null,
        public ?string $socket = null,
        public ?SignalKind $signal = null,
        public ?bool $phantom = null,
        public bool $isCoded = false,
        public ?Tap $soloTap = null,
    ) {
    }

    /** Whether it switches something on and off. */
    public function isSwitch(): bool
    {
        return $this->othersDb === null && $this->soloTap === null && ! $this->isOfSocket();
    }

    /** Whether it says what a socket is for. */
    public function isOfSocket(): bool
    {
        return $this->signal !== null || $this->phantom !== null || $this->isCoded;
    }
}

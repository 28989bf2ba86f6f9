<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig;

use HiddenWire\Core\Equipment\PickFrom;

/** A derived device by what gives it: `unit/socket/lane`, or `unit/point` for a virtual one. */
final readonly class DeviceRef implements \Stringable
{
    private function __construct(public string $unit, public string $givenBy, public ?string $lane)
    {
    }

    public static function lane(string $unit, string $socket, string $lane): self
    {
        return new self($unit, $socket, $lane);
    }

    public static function point(string $unit, string $point): self
    {
        return new self($unit, $point, null);
    }

    /** What gives it inside the unit: `socket/lane`, or a point. */
    public function inside(): string
    {
        return $this->givenBy.($this->lane === null ? '' : "/{$this->lane}");
    }

    /** What it is to a program that could choose it, or its loopback. */
    public function pickFrom(bool $isTap = false): PickFrom
    {
        return $isTap ? PickFrom::Loopbacks : ($this->lane === null ? PickFrom::Installed : PickFrom::Plugged);
    }

    public function __toString(): string
    {
        return $this->unit.'/'.$this->givenBy.($this->lane === null ? '' : '/'.$this->lane);
    }
}

<?php

declare(strict_types=1);

namespace HiddenWire\Core\Equipment\Dials;

use Closure;
use HiddenWire\Core\Equipment\EquipmentModel;
use HiddenWire\Core\Equipment\Point;
use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Quantity\Milliseconds;

/** A switch of two positions. */
final readonly class ToggleDial implements DialKind
{
    /**
     * @param  string  $on  what is said where it is on: "muted"
     * @param  string  $off  and where it is off: "unmuted"
     * @param  Closure(EquipmentModel, Point): bool  $isOn  whether a point has the switch
     * @param  Closure(Point): bool  $usual  its position when new
     */
    public function __construct(
        private string $key,
        private string $property,
        private string $name,
        private string $on,
        private string $off,
        private Closure $isOn,
        private Closure $usual,
    ) {
    }

    public function key(): string
    {
        return $this->key;
    }

    public function property(): string
    {
        return $this->property;
    }

    public function name(): string
    {
        return $this->name;
    }

    public function read(DialReader $in): ?bool
    {
        return $in->flag($this->key);
    }

    public function plain(Decibels|Milliseconds|bool $value): bool
    {
        assert(is_bool($value));

        return $value;
    }

    public function isOn(EquipmentModel $model, Point $point): bool
    {
        return ($this->isOn)($model, $point);
    }

    public function usual(Point $point): bool
    {
        return ($this->usual)($point);
    }

    public function whyNot(Decibels|Milliseconds|bool $value, EquipmentModel $model, Point $point): ?string
    {
        return $this->isOn($model, $point) ? null : "\"{$point->label}\" has no {$this->name}.";
    }

    public function words(Decibels|Milliseconds|bool $value): string
    {
        return $value === true ? $this->on : $this->off;
    }

    public function scale(Point $point): ?Scale
    {
        return null;
    }
}

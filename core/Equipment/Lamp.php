<?php

declare(strict_types=1);

namespace HiddenWire\Core\Equipment;

/** A light on a unit that shows a state: a point that is muted or open, or a setting that has a value. */
final readonly class Lamp
{
    /**
     * @param  string|null  $point  it is lit while this point is muted, or open
     * @param  bool  $whileMuted  which of the two
     * @param  string|null  $setting  it is lit while this setting has a value
     */
    public function __construct(
        public string $id,
        public string $label,
        public ?string $point,
        public bool $whileMuted,
        public ?string $setting,
        public string|bool|float|null $value,
    ) {
    }
}

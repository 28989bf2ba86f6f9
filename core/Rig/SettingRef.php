<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig;

/** A named setting of a unit. */
final readonly class SettingRef implements \Stringable
{
    public const INSIDE = 'settings';

    public function __construct(public string $unit, public string $setting)
    {
    }

    public function __toString(): string
    {
        return "{$this->unit}/".self::INSIDE."/{$this->setting}";
    }
}

<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig;

use HiddenWire\Core\With;

/** In a situation a named setting of a unit differs from the base. */
final readonly class SettingValue
{
    use With;

    public function __construct(public string $unit, public string $setting, public string|bool|float $value)
    {
    }

    public function slot(): string
    {
        return "{$this->unit} {$this->setting}";
    }

    /** "Console: Headset socket carries all sound" */
    public function words(Rig $rig): string
    {
        $setting = $rig->modelOf($this->unit)->settings[$this->setting];

        return "{$rig->units[$this->unit]->name}: {$setting->label} {$setting->words($this->value)}";
    }
}

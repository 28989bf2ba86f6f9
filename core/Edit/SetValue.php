<?php

declare(strict_types=1);

namespace HiddenWire\Core\Edit;

use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\SettingValue;
use HiddenWire\Core\Rig\Situation;
use HiddenWire\Core\Rig\Unit;

/** A named setting of a unit: in the base, or in a situation. Empty means the factory setting, or the default's. */
final readonly class SetValue implements RigEdit
{
    public function __construct(
        public string $unit,
        public string $setting,
        public string|bool|float|null $value,
        public ?string $situation = null,
    ) {
    }

    public function applyTo(Rig $rig): Rig
    {
        if ($this->situation === null) {
            return Settings::ofUnit($rig, $this->unit, function (Unit $unit): Unit {
                $values = $this->value === null
                    ? array_diff_key($unit->values, [$this->setting => true])
                    : [...$unit->values, $this->setting => $this->value];

                return $unit->with(values: $values);
            });
        }

        return new Rig($rig->parts()->changing('situations', $this->situation, function (Situation $situation): Situation {
            $others = array_values(array_filter(
                $situation->settings,
                fn (SettingValue $one) => $one->slot() !== "{$this->unit} {$this->setting}",
            ));

            return $situation->with(settings: $this->value === null
                ? $others
                : [...$others, new SettingValue($this->unit, $this->setting, $this->value)]);
        }));
    }

    public function words(Rig $rig): string
    {
        $setting = $rig->modelOf($this->unit)->settings[$this->setting];

        return "{$rig->units[$this->unit]->name}: {$setting->label} ".match (true) {
            $this->value !== null => $setting->words($this->value),
            $this->situation === null => 'default',
            default => 'as in the default',
        }.Settings::where($rig, $this->situation);
    }
}

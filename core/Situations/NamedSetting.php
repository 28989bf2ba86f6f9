<?php

declare(strict_types=1);

namespace HiddenWire\Core\Situations;

use HiddenWire\Core\Equipment\Setting;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\SettingValue;
use HiddenWire\Core\Rig\State;

/** A named setting of a unit. */
final readonly class NamedSetting implements Adjustable
{
    use InUnit;

    public function __construct(Rig $rig, string $unit, public string $setting)
    {
        $this->rig = $rig;
        $this->unit = $unit;
    }

    public function setting(): Setting
    {
        return $this->model()->settings[$this->setting];
    }

    public function key(): string
    {
        return "{$this->unit} setting {$this->setting}";
    }

    public function what(): string
    {
        return $this->setting()->label;
    }

    public function aspect(): string
    {
        return '';
    }

    public function stands(State $state): string
    {
        return $this->setting()->words($state->value($this->unit, $this->setting()));
    }

    public function told(State $state): string
    {
        return (new SettingValue($this->unit, $this->setting, $state->value($this->unit, $this->setting())))->words($this->rig);
    }

    public function order(): array
    {
        return [1, 1, (int) array_search($this->setting, array_keys($this->model()->settings), true)];
    }
}

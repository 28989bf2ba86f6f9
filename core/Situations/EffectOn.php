<?php

declare(strict_types=1);

namespace HiddenWire\Core\Situations;

use HiddenWire\Core\Rig\EffectSwitch;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\State;

/** Whether an effect is on, or bypassed. */
final readonly class EffectOn implements Adjustable
{
    use InUnit;

    public function __construct(Rig $rig, string $unit, public string $effect)
    {
        $this->rig = $rig;
        $this->unit = $unit;
    }

    public function key(): string
    {
        return "{$this->unit} effect {$this->effect}";
    }

    public function what(): string
    {
        $effect = $this->rig->units[$this->unit]->effect($this->effect);

        return $effect === null ? $this->effect : "{$effect->label()} of {$this->model()->points[$effect->at]->label}";
    }

    public function aspect(): string
    {
        return 'effect';
    }

    public function stands(State $state): string
    {
        return $this->isOn($state) ? 'on' : 'bypassed';
    }

    public function told(State $state): string
    {
        return (new EffectSwitch($this->unit, $this->effect, $this->isOn($state)))->words($this->rig);
    }

    public function order(): array
    {
        $effect = $this->rig->units[$this->unit]->effect($this->effect);

        return [2, $effect === null ? 0 : $this->placeOf($effect->at), 0, 100];
    }

    private function isOn(State $state): bool
    {
        $effect = $this->rig->units[$this->unit]->effect($this->effect);

        return $effect !== null && in_array($effect, $state->effects($this->unit, $effect->at), true);
    }
}

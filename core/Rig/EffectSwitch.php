<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig;

/** An effect that is on, or bypassed, in a situation. */
final readonly class EffectSwitch
{
    public function __construct(public string $unit, public string $effect, public bool $on)
    {
    }

    /** What it switches, as a key. */
    public function slot(): string
    {
        return "{$this->unit} {$this->effect}";
    }

    public function words(Rig $rig): string
    {
        $unit = $rig->units[$this->unit];
        $effect = $unit->effect($this->effect);
        $what = $effect === null ? $this->effect : "{$effect->label()} of {$rig->modelOf($unit)->points[$effect->at]->label}";

        return "{$unit->name}: {$what} ".($this->on ? 'on' : 'bypassed');
    }
}

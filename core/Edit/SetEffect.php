<?php

declare(strict_types=1);

namespace HiddenWire\Core\Edit;

use HiddenWire\Core\Rig\Effect;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Unit;

/** Adds an effect to the end of a chain, or sets an existing one. */
final readonly class SetEffect implements RigEdit
{
    public function __construct(public string $unit, public Effect $effect)
    {
    }

    public function applyTo(Rig $rig): Rig
    {
        return Settings::ofUnit($rig, $this->unit, function (Unit $unit): Unit {
            $isThere = $unit->effect($this->effect->id) !== null;

            return $unit->with(effects: $isThere
                ? array_map(fn (Effect $one) => $one->id === $this->effect->id ? $this->effect : $one, $unit->effects)
                : [...$unit->effects, $this->effect]);
        });
    }

    public function words(Rig $rig): string
    {
        $unit = $rig->units[$this->unit];
        $was = $unit->effect($this->effect->id);
        $model = $rig->modelOf($unit);
        $name = "{$unit->name}: {$this->effect->label()} of ".($model->points[$this->effect->at]->label ?? $this->effect->at);
        if ($was === null) {
            return "{$name} added";
        }
        $offFor = array_map(fn (string $into) => $model->points[$into]->label ?? $into, $this->effect->offFor);
        $says = array_filter([
            $was->on === $this->effect->on ? '' : ($this->effect->on ? 'on' : 'bypassed'),
            $was->delay == $this->effect->delay ? '' : 'delay '.($this->effect->delay?->text() ?? '0').' ms',
            $was->db == $this->effect->db ? '' : 'level '.($this->effect->db?->text() ?? '0').' dB',
            $was->offFor === $this->effect->offFor
                ? ''
                : ($offFor === [] ? 'for every mix' : 'not for '.implode(' and ', $offFor)),
            $was->values == $this->effect->values ? '' : ($this->effect->values?->words(
                fn (string $point) => $model->points[$point]->label ?? $point,
            ) ?: 'nothing set at it'),
            $was->label() === $this->effect->label() ? '' : "was {$was->label()}",
        ]);

        return $name.' '.(implode(', ', $says) ?: 'as before');
    }
}

<?php

declare(strict_types=1);

namespace HiddenWire\Core\Situations;

use HiddenWire\Core\Equipment\Dials\DialKind;
use HiddenWire\Core\Equipment\Dials\Dials;
use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Quantity\Milliseconds;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\State;

/** A knob, fader or switch of a point. */
final readonly class DialSetting implements Adjustable
{
    use InUnit;

    public function __construct(Rig $rig, public PointRef $at, public DialKind $kind)
    {
        $this->rig = $rig;
        $this->unit = $at->unit;
    }

    public function key(): string
    {
        return "{$this->at} {$this->kind->key()}";
    }

    public function what(): string
    {
        return $this->rig->point($this->at)->label;
    }

    public function aspect(): string
    {
        return $this->kind->name();
    }

    public function stands(State $state): string
    {
        $value = $state->of($this->unit, $this->rig->point($this->at), $this->kind);

        return match (true) {
            $value instanceof Decibels => "{$value->exactText()} dB",
            $value instanceof Milliseconds => "{$value->number()} ms",
            default => $this->kind->words($value),
        };
    }

    public function told(State $state): string
    {
        $isSwitch = is_bool($state->of($this->unit, $this->rig->point($this->at), $this->kind));

        return "{$this->name()}: {$this->what()} ".($isSwitch ? '' : "{$this->kind->name()} ").$this->stands($state);
    }

    public function order(): array
    {
        return [2, $this->placeOf($this->at->point), 0, (int) array_search($this->kind, Dials::all(), true)];
    }
}

<?php

declare(strict_types=1);

namespace HiddenWire\Core\Edit;

use HiddenWire\Core\Rig\Control;
use HiddenWire\Core\Rig\ControlNames;
use HiddenWire\Core\Rig\Hands;
use HiddenWire\Core\Rig\Rig;

/** A control as it is from now on: a new one, or in the stead of the one of the same id. */
final readonly class SetControl implements RigEdit
{
    public function __construct(public Control $control)
    {
    }

    public function applyTo(Rig $rig): Rig
    {
        $controls = [...$rig->controls, $this->control->id => $this->control];

        return new Rig($rig->parts()->with(controls: array_values($controls)));
    }

    public function words(Rig $rig): string
    {
        $was = Hands::of($rig)[$this->control->id] ?? null;
        $moves = array_map(
            fn ($move) => (new ControlNames($rig))->move($move).($move->isChosen ? ' (now)' : ''),
            $this->control->moves,
        );

        return ($was === null ? "New {$this->control->kind->words()} {$this->control->words()}" : "Control {$this->control->words()}")
            .($moves === [] ? '' : ': '.implode('; ', $moves));
    }
}

<?php

declare(strict_types=1);

namespace HiddenWire\Core\Edit;

use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\ShowStep;

/** Writes a step of the run-down: a new one at the end of its phase, or another text for an existing one. */
final readonly class SetShowStep implements RigEdit
{
    public function __construct(public ShowStep $step)
    {
    }

    public function applyTo(Rig $rig): Rig
    {
        $steps = [];
        $isThere = false;
        foreach ($rig->papers->steps as $step) {
            $isThere = $isThere || $step->id === $this->step->id;
            $steps[] = $step->id === $this->step->id ? $this->step : $step;
        }

        return new Rig($rig->parts()->with(papers: $rig->papers->with(steps: $isThere ? $steps : [...$steps, $this->step])));
    }

    public function words(Rig $rig): string
    {
        return "Run-down, {$this->step->phase->label()}: {$this->step->text}";
    }
}

<?php

declare(strict_types=1);

namespace HiddenWire\Core\Edit;

use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\ShowStep;

/** Takes a written step out of the run-down. */
final readonly class RemoveShowStep implements RigEdit
{
    public function __construct(public string $step)
    {
    }

    public function applyTo(Rig $rig): Rig
    {
        return new Rig($rig->parts()->with(papers: $rig->papers->with(steps: array_values(array_filter(
            $rig->papers->steps,
            fn (ShowStep $step) => $step->id !== $this->step,
        )))));
    }

    public function words(Rig $rig): string
    {
        foreach ($rig->papers->steps as $step) {
            if ($step->id === $this->step) {
                return "Removed from the run-down: {$step->text}";
            }
        }

        return 'Removed a step of the run-down';
    }
}

<?php

declare(strict_types=1);

namespace HiddenWire\Core\Edit;

use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\ShowStep;

/** Moves a written step one place towards the beginning of its phase, or towards the end. */
final readonly class MoveShowStep implements RigEdit
{
    public function __construct(public string $step, public bool $isUp)
    {
    }

    public function applyTo(Rig $rig): Rig
    {
        $steps = array_values($rig->papers->steps);
        $at = array_search($this->step, array_map(fn (ShowStep $step) => $step->id, $steps), true);
        if ($at === false) {
            return $rig;
        }
        $way = $this->isUp ? -1 : 1;
        for ($other = $at + $way; isset($steps[$other]) && $steps[$other]->phase !== $steps[$at]->phase; $other += $way) {
        }
        if (isset($steps[$other])) {
            [$steps[$at], $steps[$other]] = [$steps[$other], $steps[$at]];
        }

        return new Rig($rig->parts()->with(papers: $rig->papers->with(steps: $steps)));
    }

    public function words(Rig $rig): string
    {
        foreach ($rig->papers->steps as $step) {
            if ($step->id === $this->step) {
                return ($this->isUp ? 'Earlier' : 'Later')." in the run-down: {$step->text}";
            }
        }

        return 'Moved a step of the run-down';
    }
}

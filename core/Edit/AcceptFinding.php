<?php

declare(strict_types=1);

namespace HiddenWire\Core\Edit;

use HiddenWire\Core\Rig\Acceptance;
use HiddenWire\Core\Rig\Rig;

/** Says that a finding may stay, and why. */
final readonly class AcceptFinding implements RigEdit
{
    public function __construct(public Acceptance $acceptance)
    {
    }

    public function applyTo(Rig $rig): Rig
    {
        $others = array_filter($rig->papers->accepted, fn (Acceptance $one) => $one->evidence !== $this->acceptance->evidence);

        return new Rig($rig->parts()->with(papers: $rig->papers->with(accepted: [...array_values($others), $this->acceptance])));
    }

    public function words(Rig $rig): string
    {
        return "Accepted: {$this->acceptance->says} ({$this->acceptance->why})";
    }
}

<?php

declare(strict_types=1);

namespace HiddenWire\Core\Edit;

use HiddenWire\Core\Rig\Acceptance;
use HiddenWire\Core\Rig\Rig;

/** Takes back that a finding may stay. */
final readonly class ReopenFinding implements RigEdit
{
    public function __construct(public string $evidence)
    {
    }

    public function applyTo(Rig $rig): Rig
    {
        return new Rig($rig->parts()->with(papers: $rig->papers->with(accepted: array_values(array_filter(
            $rig->papers->accepted,
            fn (Acceptance $one) => $one->evidence !== $this->evidence,
        )))));
    }

    public function words(Rig $rig): string
    {
        return 'Open again: '.($rig->papers->acceptanceOf($this->evidence)->says ?? 'a finding');
    }
}

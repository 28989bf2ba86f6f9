<?php

declare(strict_types=1);

namespace HiddenWire\Core\Edit;

use HiddenWire\Core\Rig\Rig;

/** Says what the rig is called and what it is for. */
final readonly class DescribeRig implements RigEdit
{
    public function __construct(public string $name, public string $summary)
    {
    }

    public function applyTo(Rig $rig): Rig
    {
        return new Rig($rig->parts()->with(name: $this->name, summary: $this->summary));
    }

    public function words(Rig $rig): string
    {
        return $this->name === $rig->name ? 'The rig\'s summary changed' : "Rig renamed to {$this->name}";
    }
}

<?php

declare(strict_types=1);

namespace HiddenWire\Core\Edit;

use HiddenWire\Core\Rig\Format\References;
use HiddenWire\Core\Rig\Rig;

/** Takes a sound away, with what is wished for it. */
final readonly class RemoveSound implements RigEdit
{
    public function __construct(public string $source)
    {
    }

    public function applyTo(Rig $rig): Rig
    {
        return new Rig(References::gone($rig->parts(), 'sources', $this->source));
    }

    public function words(Rig $rig): string
    {
        return "Removed the sound {$rig->sources[$this->source]->name}";
    }
}

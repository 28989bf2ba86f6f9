<?php

declare(strict_types=1);

namespace HiddenWire\Core\Edit;

use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Wish;

/** Takes a sound away, with what is wished for it. */
final readonly class RemoveSound implements RigEdit
{
    public function __construct(public string $source)
    {
    }

    public function applyTo(Rig $rig): Rig
    {
        return new Rig($rig->parts()->without('sources', $this->source)->with(wishes: array_values(array_filter(
            $rig->wishes,
            fn (Wish $wish) => $wish->source !== $this->source,
        ))));
    }

    public function words(Rig $rig): string
    {
        return "Removed the sound {$rig->sources[$this->source]->name}";
    }
}

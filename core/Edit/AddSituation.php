<?php

declare(strict_types=1);

namespace HiddenWire\Core\Edit;

use HiddenWire\Core\Rig\Naming;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Situation;
use HiddenWire\Core\Rig\Wish;

/** A new situation: like the base, or a copy of another with all that it changes and what is wished there. */
final readonly class AddSituation implements RigEdit
{
    public function __construct(public string $name, public ?string $copyOf = null)
    {
    }

    public function applyTo(Rig $rig): Rig
    {
        $id = $this->id($rig);
        $parts = $rig->parts();

        return new Rig($parts->with(
            situations: [
                ...$parts->situations,
                $this->copyOf === null
                    ? new Situation($id, $this->name, pulled: $rig->base()->pulled)
                    : $rig->situations[$this->copyOf]->with(id: $id, name: $this->name),
            ],
            wishes: array_map(
                fn (Wish $wish) => in_array(
                    $this->copyOf,
                    $wish->situations,
                    true,
                ) ? $wish->with(situations: [...$wish->situations, $id]) : $wish,
                $rig->wishes,
            ),
        ));
    }

    public function words(Rig $rig): string
    {
        return "New situation: {$this->name}".($this->copyOf === null ? '' : ", a copy of {$rig->situations[$this->copyOf]->name}");
    }

    public function id(Rig $rig): string
    {
        return Naming::id($this->name, array_keys($rig->situations));
    }
}

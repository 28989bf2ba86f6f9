<?php

declare(strict_types=1);

namespace HiddenWire\Core\Checks;

use HiddenWire\Core\Document\Catalogue;
use HiddenWire\Core\Planning\Hearings;
use HiddenWire\Core\Rig\Names;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Situation;
use HiddenWire\Core\Rig\Wiring;
use HiddenWire\Core\Signal\Hearing;
use HiddenWire\Core\Signal\Passage;
use HiddenWire\Core\Signal\SignalGraph;

/** A rig as checks look at it: in all of its situations, each heard once. */
final class Inspection
{
    public readonly Rig $rig;

    public readonly Names $names;

    public readonly Wiring $wiring;

    public readonly Joints $joints;

    /** @var array<string, Passage> by situation */
    private array $passages = [];

    /** @param  Catalogue|null  $catalogue  what could be put between, where anything is to be proposed */
    public function __construct(public readonly Hearings $hearings, public readonly ?Catalogue $catalogue = null)
    {
        $this->rig = $hearings->rig;
        $this->names = new Names($this->rig);
        $this->wiring = new Wiring($this->rig);
        $this->joints = new Joints($this->rig, $this->wiring);
    }

    /** @return \Generator<string, Hearing> by situation */
    public function each(): \Generator
    {
        foreach ($this->rig->situations as $id => $_) {
            yield (string) $id => $this->hearings->in((string) $id);
        }
    }

    public function base(): Hearing
    {
        return $this->hearings->in($this->rig->base()->id);
    }

    public function graph(string $situation): SignalGraph
    {
        return $this->hearings->in($situation)->graph;
    }

    public function passage(string $situation): Passage
    {
        return $this->passages[$situation] ??= new Passage($this->graph($situation));
    }

    /** Null for the base: changes are made for good there. */
    public function override(string $situation): ?string
    {
        return $this->rig->isBase($situation) ? null : $situation;
    }

    /** Whether a unit is there, or a program runs, in a situation. */
    public function isThere(string $unit, Situation $situation): bool
    {
        return ! in_array($unit, $situation->absent, true);
    }
}

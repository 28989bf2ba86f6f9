<?php

declare(strict_types=1);

namespace HiddenWire\Core\Edit;

use HiddenWire\Core\Rig\Control;
use HiddenWire\Core\Rig\Format\References;
use HiddenWire\Core\Rig\InvalidRig;
use HiddenWire\Core\Rig\Move;
use HiddenWire\Core\Rig\Problem;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\SituationRef;

/** Takes a situation away, with what is wished in it only. */
final readonly class RemoveSituation implements RigEdit
{
    public function __construct(public string $situation)
    {
    }

    /** @throws InvalidRig for the base, which every other is described against */
    public function applyTo(Rig $rig): Rig
    {
        if ($rig->isBase($this->situation)) {
            throw new InvalidRig([new Problem(
                '/situations/0',
                "{$rig->situations[$this->situation]->name} is the default that the others are described against; it stays.",
            )]);
        }

        return new Rig(References::gone($rig->parts(), 'situations', $this->situation));
    }

    public function words(Rig $rig): string
    {
        $ways = array_filter($rig->controls, fn (Control $one) => array_filter(
            $one->moves,
            fn (Move $move) => $move->at instanceof SituationRef && $move->at->situation === $this->situation,
        ) !== []);

        return "Removed the situation {$rig->situations[$this->situation]->name}".($ways === [] ? ''
            : ', and with it the way there by '.implode(', ', array_map(fn (Control $one) => $one->words(), $ways)));
    }
}

<?php

declare(strict_types=1);

namespace HiddenWire\Core\Edit;

use HiddenWire\Core\Equipment\CableType;
use HiddenWire\Core\Equipment\Mating;
use HiddenWire\Core\Rig\Cable;
use HiddenWire\Core\Rig\InvalidRig;
use HiddenWire\Core\Rig\Naming;
use HiddenWire\Core\Rig\Problem;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Situation;
use HiddenWire\Core\Rig\SocketRef;
use HiddenWire\Core\Rig\Turns;

/**
 * A lead into a socket that another has, for one situation: there the other is out and this one in; everywhere else this one waits with a
 * free end.
 */
final readonly class PlugInTurn implements RigEdit
{
    public function __construct(public SocketRef $from, public SocketRef $to, public string $situation)
    {
    }

    /** @throws InvalidRig when no cable fits */
    public function applyTo(Rig $rig): Rig
    {
        $obstacle = Mating::obstacle($rig->socket($this->from), $rig->socket($this->to));
        if ($obstacle !== null) {
            throw new InvalidRig([new Problem('/cables', ucfirst($obstacle).'.')]);
        }
        $label = Plug::nextLabel($rig);
        $type = Mating::cable($rig->socket($this->from), $rig->socket($this->to)) ?? CableType::Captive;
        $cable = new Cable(Naming::id($label, array_keys($rig->cables)), $label, $type, $this->from, $this->to);
        $out = Turns::beside($rig->parts(), $cable);

        return new Rig($rig->parts()->with(
            cables: [...array_values($rig->cables), $cable],
            situations: array_values(array_map(
                fn (Situation $one) => $one->with(pulled: $one->id === $this->situation
                    ? array_values(array_unique([...$one->pulled, ...$out]))
                    : [...$one->pulled, $cable->id]),
                $rig->situations,
            )),
        ));
    }

    public function words(Rig $rig): string
    {
        return Plug::nextLabel($rig).": {$rig->socket($this->from)->label} of {$rig->units[$this->from->unit]->name} to "
            ."{$rig->socket($this->to)->label} of {$rig->units[$this->to->unit]->name}, in {$rig->situations[$this->situation]->name} only";
    }
}

<?php

declare(strict_types=1);

namespace HiddenWire\Core\Edit;

use HiddenWire\Core\Equipment\Mating;
use HiddenWire\Core\Rig\Cable;
use HiddenWire\Core\Rig\InvalidRig;
use HiddenWire\Core\Rig\Problem;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\SocketRef;

/**
 * Puts one end of a cable into another socket; the rest of the cable stays as it is, and so does its label. A lead of another type is
 * taken where the sockets need one.
 */
final readonly class Replug implements RigEdit
{
    /** @param  bool  $isFrom  whether the end that the document calls `from` moves */
    public function __construct(public string $cable, public bool $isFrom, public SocketRef $to)
    {
    }

    /** @throws InvalidRig when the socket is taken or the two don't take one cable */
    public function applyTo(Rig $rig): Rig
    {
        $cable = $rig->cables[$this->cable];
        $stays = $this->isFrom ? $cable->to : $cable->from;
        Plug::mustBeFree($rig, $this->to, $this->cable);
        $obstacle = Mating::obstacle($rig->socket($stays), $rig->socket($this->to));
        if ($obstacle !== null) {
            throw new InvalidRig([new Problem('/cables', ucfirst($obstacle).'.')]);
        }
        $fits = Mating::cable($rig->socket($stays), $rig->socket($this->to)) ?? $cable->type;

        return new Rig($rig->parts()->changing('cables', $this->cable, fn (Cable $cable) => $cable->with(
            from: $this->isFrom ? $this->to : $cable->from,
            to: $this->isFrom ? $cable->to : $this->to,
            lanes: null,
            type: Mating::cable($rig->socket($cable->from), $rig->socket($cable->to)) === $fits ? $cable->type : $fits,
        )));
    }

    public function words(Rig $rig): string
    {
        return "{$rig->cables[$this->cable]->label} goes to {$rig->socket($this->to)->label} of {$rig->units[$this->to->unit]->name} now";
    }
}

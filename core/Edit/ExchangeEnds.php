<?php

declare(strict_types=1);

namespace HiddenWire\Core\Edit;

use HiddenWire\Core\Equipment\Mating;
use HiddenWire\Core\Rig\Cable;
use HiddenWire\Core\Rig\InvalidRig;
use HiddenWire\Core\Rig\Problem;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\SocketRef;

/** Two cables change places at one of their ends each. Labels stay; a lead of another type is taken where the sockets need one. */
final readonly class ExchangeEnds implements RigEdit
{
    /**
     * @param  bool  $isFrom  whether the end that the document calls `from` moves
     * @param  bool  $isOtherFrom  the same of the other cable
     */
    public function __construct(public string $cable, public bool $isFrom, public string $other, public bool $isOtherFrom)
    {
    }

    /** @throws InvalidRig when a plug does not fit its new socket */
    public function applyTo(Rig $rig): Rig
    {
        [$one, $other] = [$rig->cables[$this->cable], $rig->cables[$this->other]];
        $changed = [
            $this->cable => $this->moved($rig, $one, $this->isFrom, $this->isOtherFrom ? $other->from : $other->to),
            $this->other => $this->moved($rig, $other, $this->isOtherFrom, $this->isFrom ? $one->from : $one->to),
        ];

        return new Rig($rig->parts()->with(cables: array_values(array_map(
            fn (Cable $cable) => $changed[$cable->id] ?? $cable,
            $rig->cables,
        ))));
    }

    public function words(Rig $rig): string
    {
        return "{$rig->cables[$this->cable]->label} and {$rig->cables[$this->other]->label} change places";
    }

    /** @throws InvalidRig when no lead joins the two then */
    private function moved(Rig $rig, Cable $cable, bool $isFrom, SocketRef $to): Cable
    {
        $stays = $isFrom ? $cable->to : $cable->from;
        $obstacle = Mating::obstacle($rig->socket($stays), $rig->socket($to));
        if ($obstacle !== null) {
            throw new InvalidRig([new Problem('/cables', ucfirst($obstacle).'.')]);
        }
        $fits = Mating::cable($rig->socket($stays), $rig->socket($to)) ?? $cable->type;

        return $cable->with(
            from: $isFrom ? $to : $cable->from,
            to: $isFrom ? $cable->to : $to,
            lanes: null,
            type: Mating::cable($rig->socket($cable->from), $rig->socket($cable->to)) === $fits ? $cable->type : $fits,
        );
    }
}

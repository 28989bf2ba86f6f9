<?php

declare(strict_types=1);

namespace HiddenWire\Core\Planning\Remedies;

use HiddenWire\Core\Edit\SetValue;
use HiddenWire\Core\Planning\Candidate;
use HiddenWire\Core\Planning\Cost;
use HiddenWire\Core\Planning\Remedy;
use HiddenWire\Core\Planning\Trouble;
use HiddenWire\Core\Rig\CableRef;
use HiddenWire\Core\Rig\PhantomFeed;
use HiddenWire\Core\Rig\SocketRef;
use HiddenWire\Core\Rig\UnitRef;
use HiddenWire\Core\Signal\BlockKind;

/** Phantom power that is off where a microphone or a booster needs it. */
final class Supplies implements Remedy
{
    public function isOfCables(): bool
    {
        return false;
    }

    public function candidates(Trouble $trouble): iterable
    {
        foreach ($trouble->lacks() ? $trouble->graph->links : [] as $link) {
            if ($link->block === BlockKind::NoPhantom && $link->at instanceof CableRef && $trouble->region->isJoinedBy($link)) {
                $cable = $trouble->rig->cables[$link->at->cable];
                yield from $this->on($trouble, $cable->from, $cable->to);
                yield from $this->on($trouble, $cable->to, $cable->from);
            }
        }
    }

    /** @return iterable<Candidate> */
    private function on(Trouble $trouble, SocketRef $gives, SocketRef $needs): iterable
    {
        $feed = PhantomFeed::at($trouble->graph->state, $trouble->wiring, $gives);
        if ($feed->switch === null || $feed->isOn !== false) {
            return;
        }
        $unit = $trouble->rig->units[$feed->socket->unit];
        $situation = $trouble->graph->state->situation;
        $isHere = array_filter($situation->settings, fn ($set) => $set->unit === $unit->id && $set->setting === $feed->switch->id) !== [];
        $places = $isHere ? [0 => $trouble->rig->isBase($situation->id) ? null : $situation->id]
            : ($trouble->rig->isBase($situation->id) ? [0 => null] : [0 => null, Cost::ONE_SITUATION => $situation->id]);
        foreach ($places as $more => $where) {
            yield new Candidate(
                "phantom {$unit->id} {$feed->switch->id} {$where}",
                "{$trouble->rig->units[$needs->unit]->name} needs phantom power, and it is off at {$trouble->names->of($feed->socket)}",
                "Switch {$feed->switch->label} of {$unit->name} on{$trouble->where($where)}",
                [new SetValue($unit->id, $feed->switch->id, true, $where)],
                Cost::SWITCH + $more,
                [$needs, $feed->socket, new UnitRef($unit->id)],
            );
        }
    }
}

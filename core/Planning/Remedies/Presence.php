<?php

declare(strict_types=1);

namespace HiddenWire\Core\Planning\Remedies;

use HiddenWire\Core\Edit\SetAbsent;
use HiddenWire\Core\Edit\SetPulled;
use HiddenWire\Core\Planning\Candidate;
use HiddenWire\Core\Planning\Cost;
use HiddenWire\Core\Planning\Remedy;
use HiddenWire\Core\Planning\Trouble;
use HiddenWire\Core\Rig\CableRef;
use HiddenWire\Core\Rig\UnitRef;

/** In a situation: programs that do not run, units that are not there, cables that are out. */
final class Presence implements Remedy
{
    public function isOfCables(): bool
    {
        return false;
    }

    public function candidates(Trouble $trouble): iterable
    {
        $situation = $trouble->graph->state->situation;
        foreach ($trouble->lacks() ? $situation->absent : [] as $id) {
            $unit = $trouble->rig->units[$id];
            $isProgram = $trouble->rig->modelOf($unit)->isProgram();
            yield new Candidate(
                "present {$situation->id} {$id}",
                "{$unit->name} ".($isProgram ? 'does not run' : 'is not there')
                ." in {$situation->name}",
                ($isProgram ? 'Start ' : 'Put back ')."{$unit->name} in {$situation->name}",
                [new SetAbsent($situation->id, $id, false)],
                Cost::SWITCH,
                [new UnitRef($id)],
            );
        }
        foreach ($trouble->lacks() ? $situation->pulled : [] as $id) {
            yield new Candidate(
                "plugged {$situation->id} {$id}",
                "{$trouble->cable($id)} is out in {$situation->name}",
                "Leave {$trouble->cable($id)} plugged in {$situation->name}",
                [new SetPulled($situation->id, $id, false)],
                Cost::PLAIN,
                [new CableRef($id)],
            );
        }
    }
}

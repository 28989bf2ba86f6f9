<?php

declare(strict_types=1);

namespace HiddenWire\Core\Planning\Remedies;

use HiddenWire\Core\Edit\SetCable;
use HiddenWire\Core\Equipment\CableType;
use HiddenWire\Core\Equipment\Mating;
use HiddenWire\Core\Planning\Candidate;
use HiddenWire\Core\Planning\Cost;
use HiddenWire\Core\Planning\Remedy;
use HiddenWire\Core\Planning\Trouble;
use HiddenWire\Core\Rig\CableRef;

/** Leads of the wrong kind: one conductor where two are needed, or one that carries another signal. */
final class Leads implements Remedy
{
    public function isOfCables(): bool
    {
        return false;
    }

    public function candidates(Trouble $trouble): iterable
    {
        $free = $trouble->free();
        foreach ($trouble->lacks() ? $trouble->rig->cables : [] as $cable) {
            $isBetween = ($free->gives($cable->from) && $free->takes($cable->to))
                || ($free->gives($cable->to) && $free->takes($cable->from));
            $fits = $isBetween ? Mating::cable($trouble->rig->socket($cable->from), $trouble->rig->socket($cable->to)) : null;
            if ($fits !== null && $fits !== $cable->type && $cable->type !== CableType::Captive) {
                yield new Candidate(
                    "lead {$cable->id} {$fits->value}",
                    "{$cable->label} is the wrong lead: {$cable->type->words()} where {$fits->words()} is needed",
                    "Replace {$cable->label} with {$fits->article()} {$fits->words()} lead",
                    [SetCable::like($cable->with(type: $fits))],
                    Cost::PLAIN,
                    [new CableRef($cable->id)],
                );
            }
        }
    }
}

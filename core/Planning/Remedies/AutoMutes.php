<?php

declare(strict_types=1);

namespace HiddenWire\Core\Planning\Remedies;

use HiddenWire\Core\Edit\SetPoint;
use HiddenWire\Core\Planning\Candidate;
use HiddenWire\Core\Planning\Cost;
use HiddenWire\Core\Planning\Remedy;
use HiddenWire\Core\Planning\Trouble;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\PointSettings;

/** Points that their unit would mute by itself, put out of force: what should be silent while a microphone is open, is not. */
final class AutoMutes implements Remedy
{
    public function isOfCables(): bool
    {
        return false;
    }

    public function candidates(Trouble $trouble): iterable
    {
        $passed = [];
        foreach ($trouble->hasTooMuch() ? $trouble->hops() : [] as $hop) {
            $passed += $hop->at instanceof PointRef ? [(string) $hop->at => $hop->at] : [];
        }
        foreach ($passed as $at) {
            foreach ($trouble->rig->modelOf($at->unit)->autoMutes as $rule) {
                $isOut = $rule->mutes === $at->point
                    && $trouble->graph->state->autoMutedBy($at->unit, $trouble->rig->point($at)) === null;
                foreach ($isOut ? $trouble->placesOf($at, 'autoMute') : [] as $more => $situation) {
                    yield new Candidate(
                        "rule {$at} on {$situation}",
                        "{$trouble->names->of($at)} is not muted by {$trouble->rig->units[$at->unit]->name} itself any more",
                        "Put the automatic mute of {$trouble->partOf($at)} back in force{$trouble->where($situation)}",
                        [new SetPoint($at, new PointSettings(autoMute: true), $situation)],
                        // A rule made for this is preferred to a mute that somebody has to remember.
                        Cost::RULE + $more + Cost::KNOWN,
                        [$at],
                    );
                }
            }
        }
    }
}

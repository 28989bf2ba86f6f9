<?php

declare(strict_types=1);

namespace HiddenWire\Core\Planning\Remedies;

use HiddenWire\Core\Edit\SetPoint;
use HiddenWire\Core\Equipment\Dials\Dials;
use HiddenWire\Core\Planning\Candidate;
use HiddenWire\Core\Planning\Cost;
use HiddenWire\Core\Planning\Remedy;
use HiddenWire\Core\Planning\Trouble;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\PointSettings;
use HiddenWire\Core\Signal\Hop;
use HiddenWire\Core\Signal\Loss;
use HiddenWire\Core\Signal\Verdict;

/** What points do to left and right: mono for a side that is lost, stereo where that was wished; polarity where copies cancel. */
final class Channels implements Remedy
{
    public function isOfCables(): bool
    {
        return false;
    }

    public function candidates(Trouble $trouble): iterable
    {
        $pair = $trouble->pair;
        $isTurned = $pair->verdict === Verdict::Thin || $pair->loss === Loss::Middle || $pair->cancelling() !== null
            || $pair->doubling?->isTurned === true;
        foreach ($this->passed($trouble) as $at) {
            $point = $trouble->rig->point($at);
            $isMono = $trouble->graph->state->isMono($at->unit, $point);
            $wantsMono = $pair->loss !== null && $pair->loss !== Loss::Mono && $pair->loss !== Loss::Parts;
            $wantsStereo = $pair->loss === Loss::Mono || $pair->loss === Loss::Middle;
            if ($point->mono !== null && ($isMono ? $wantsStereo : $wantsMono)) {
                yield from $this->mono($trouble, $at, ! $isMono);
            }
            if ($isTurned && $point->inverted !== null) {
                yield from $this->polarity($trouble, $at, $trouble->graph->state->of($at->unit, $point, Dials::named('inverted')) !== true);
            }
        }
    }

    /** @return array<string, PointRef> the points on its ways, each once, the nearest to the listener first */
    private function passed(Trouble $trouble): array
    {
        $passed = [];
        foreach ($trouble->pair->arrivals() as $arrival) {
            foreach (array_reverse($arrival->hops) as $hop) {
                $at = $this->pointOf($hop);
                $passed += $at === null ? [] : [(string) $at => $at];
            }
        }

        return $passed;
    }

    private function pointOf(Hop $hop): ?PointRef
    {
        return $hop->at instanceof PointRef ? $hop->at : null;
    }

    /** @return iterable<Candidate> */
    private function mono(Trouble $trouble, PointRef $at, bool $on): iterable
    {
        foreach ($trouble->placesOf($at, 'mono') as $more => $situation) {
            yield new Candidate(
                "mono {$at} {$on} {$situation}",
                $on ? "{$trouble->names->of($at)} is not switched to mono" : "{$trouble->names->of($at)} is switched to mono",
                'Switch '.$trouble->partOf($at).($on ? ' to mono' : ' to stereo').$trouble->where($situation),
                [new SetPoint($at, new PointSettings(mono: $on), $situation)],
                Cost::SWITCH + $more + ($on ? Cost::OTHER_SELECTION : 0),
                [$at],
            );
        }
    }

    /** @return iterable<Candidate> */
    private function polarity(Trouble $trouble, PointRef $at, bool $inverted): iterable
    {
        foreach ($trouble->placesOf($at, 'inverted') as $more => $situation) {
            yield new Candidate(
                "polarity {$at} {$inverted} {$situation}",
                "{$trouble->names->of($at)} ".($inverted ? 'has not the polarity of the other copy' : 'turns the polarity'),
                "Switch the polarity of {$trouble->partOf($at)} ".($inverted ? 'to inverted' : 'back to normal')
                    .$trouble->where($situation),
                [new SetPoint($at, new PointSettings(inverted: $inverted), $situation)],
                Cost::SWITCH + $more + ($inverted ? Cost::OTHER_SELECTION : 0),
                [$at],
            );
        }
    }
}

<?php

declare(strict_types=1);

namespace HiddenWire\Core\Planning\Remedies;

use HiddenWire\Core\Edit\SetPoint;
use HiddenWire\Core\Equipment\Point;
use HiddenWire\Core\Equipment\Span;
use HiddenWire\Core\Planning\Candidate;
use HiddenWire\Core\Planning\Cost;
use HiddenWire\Core\Planning\Remedy;
use HiddenWire\Core\Planning\Trouble;
use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\PointSettings;
use HiddenWire\Core\Rig\State;
use HiddenWire\Core\Signal\Link;

/** Faders and gains that are down: to where another situation or an earlier revision has them, else to where they stand on a new unit. */
final class Faders implements Remedy
{
    /** A fader this far below where it could be is down, not just low. */
    private const DOWN_DB = 20.0;

    public function isOfCables(): bool
    {
        return false;
    }

    public function candidates(Trouble $trouble): iterable
    {
        foreach ($trouble->lacks() ? $trouble->graph->links : [] as $link) {
            if ($link->at instanceof PointRef && $this->isDown($link) && $trouble->region->isJoinedBy($link)) {
                yield from $this->raise($trouble, $link->at, 'fader');
                yield from $this->raise($trouble, $link->at, 'gain');
            }
        }
    }

    private function isDown(Link $link): bool
    {
        return $link->gainDb < -self::DOWN_DB;
    }

    /**
     * @param  'fader'|'gain'  $control
     * @return iterable<Candidate>
     */
    private function raise(Trouble $trouble, PointRef $at, string $control): iterable
    {
        $point = $trouble->rig->point($at);
        $span = $point->{$control};
        $now = $control === 'fader' ? $trouble->graph->state->fader($at->unit, $point) : $trouble->graph->state->gain($at->unit, $point);
        if (! $span instanceof Span || $now->value() > -self::DOWN_DB) {
            return;
        }
        $is = "{$trouble->names->of($at)}: the {$control} is ".($span->isShutAt($now) ? 'all the way down' : "at {$now->text()} dB");
        foreach ($this->better($trouble, $at, $point, $span, $control, $now) as $cost => $target) {
            foreach ($trouble->placesOf($at, $control) as $more => $situation) {
                yield new Candidate(
                    "{$control} {$at} {$target->number()} {$situation}",
                    $is,
                    "Raise the {$control} {$trouble->partOf($at)} to {$target->text()} dB{$trouble->where($situation)}",
                    [new SetPoint(
                        $at,
                        $control === 'fader' ? new PointSettings(fader: $target) : new PointSettings(gain: $target),
                        $situation,
                    )],
                    $cost + $more,
                    [$at],
                );
            }
        }
    }

    /** @return \Generator<int, Decibels> by cost */
    private function better(Trouble $trouble, PointRef $at, Point $point, Span $span, string $control, Decibels $now): \Generator
    {
        foreach ([$trouble->rig, ...$trouble->earlier] as $rig) {
            if (! isset($rig->units[$at->unit]) || $rig->units[$at->unit]->model !== $trouble->rig->units[$at->unit]->model) {
                continue;
            }
            foreach ($rig->situations as $situation) {
                $state = new State($rig, $situation);
                $was = $control === 'fader' ? $state->fader($at->unit, $point) : $state->gain($at->unit, $point);
                if ($now->isBelow($was) && $was->value() > -self::DOWN_DB) {
                    yield Cost::FADER + Cost::KNOWN => $was;
                }
            }
        }
        yield Cost::FADER => $now->isBelow($span->db) && $span->db->value() > -self::DOWN_DB
            ? $span->db
            : ($span->to->isBelow(Decibels::zero()) ? $span->to : Decibels::zero());
    }
}

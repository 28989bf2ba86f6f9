<?php

declare(strict_types=1);

namespace HiddenWire\Core\Planning\Remedies;

use HiddenWire\Core\Edit\SetPoint;
use HiddenWire\Core\Edit\SetRoute;
use HiddenWire\Core\Equipment\RouteSetting;
use HiddenWire\Core\Planning\Candidate;
use HiddenWire\Core\Planning\Cost;
use HiddenWire\Core\Planning\Remedy;
use HiddenWire\Core\Planning\Trouble;
use HiddenWire\Core\Quantity\Bounds;
use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\PointSettings;
use HiddenWire\Core\Rig\RouteRef;
use HiddenWire\Core\Rig\RouteSettings;
use HiddenWire\Core\Signal\Verdict;

/** Gains, faders and sends that leave a sound too quiet to be followed, or drive a stage further than it goes: to nominal level. */
final class Levels implements Remedy
{
    public function isOfCables(): bool
    {
        return false;
    }

    /** A send amplifies no further: what a voice lacks is the preamp's to give. A limit of ours, where the model has none. */
    private const SEND_MOST_DB = 10;

    public function candidates(Trouble $trouble): iterable
    {
        $verdict = $trouble->pair->verdict;
        if ($verdict !== Verdict::TooQuiet && $verdict !== Verdict::Overloads) {
            return;
        }
        $isQuiet = $verdict === Verdict::TooQuiet;
        foreach ($trouble->pair->arrivals()[0]->hops ?? [] as $hop) {
            // To nominal level at this stage; what follows is set to that.
            $by = -($isQuiet ? $trouble->pair->level()?->value() ?? 0.0 : $trouble->pair->overload?->hop->level->value() ?? 0.0);
            if ($hop->at instanceof PointRef) {
                yield from $this->point($trouble, $hop->at, 'gain', $by);
                yield from $this->point($trouble, $hop->at, 'fader', $by);
            } elseif ($hop->at instanceof RouteRef) {
                yield from $this->route($trouble, $hop->at, $by);
            }
            if (! $isQuiet && $hop === $trouble->pair->overload?->hop) {
                return;
            }
        }
    }

    /**
     * @param  'gain'|'fader'  $control
     * @return iterable<Candidate>
     */
    private function point(Trouble $trouble, PointRef $at, string $control, float $by): iterable
    {
        $point = $trouble->rig->point($at);
        $state = $trouble->graph->state;
        $now = $control === 'fader' ? $state->fader($at->unit, $point) : $state->gain($at->unit, $point);
        $to = $point->{$control}?->nearest(Decibels::of(round($now->value() + $by, 2)));
        if (! $to instanceof Decibels || $to->equals($now)) {
            return;
        }
        foreach ($trouble->placesOf($at, $control) as $more => $situation) {
            yield new Candidate(
                "{$control} {$at} {$to->number()} {$situation}",
                "{$trouble->names->of($at)}: the {$control} is at {$now->text()} dB",
                ($by > 0 ? 'Raise' : 'Lower')." the {$control} of {$trouble->partOf($at)} to {$to->text()} dB{$trouble->where($situation)}",
                [new SetPoint($at, (new PointSettings)->with(...[$control => $to]), $situation)],
                Cost::FADER + $more,
                [$at],
            );
        }
    }

    /** @return iterable<Candidate> */
    private function route(Trouble $trouble, RouteRef $at, float $by): iterable
    {
        $route = $trouble->rig->route($at);
        if ($route === null || ! $route->allows(RouteSetting::Db)) {
            return;
        }
        $now = $trouble->graph->state->route($at->unit, $route)->db;
        $to = round($now->value() + $by, 2);
        $to = $route->level?->nearest(Decibels::of($to))->value() ?? $to;
        $isTooFar = $to === $now->value() || $to < -Bounds::DB || ($to > self::SEND_MOST_DB && $to > $now->value());
        foreach ($isTooFar ? [] : $trouble->placesOf($at, 'db') as $more => $situation) {
            yield new Candidate(
                "db {$at} {$to} {$situation}",
                "{$trouble->names->of($at)} is at {$now->text()} dB",
                'Set '.$trouble->partOf($at).' to '.Decibels::of($to)->text()." dB{$trouble->where($situation)}",
                [new SetRoute($at, new RouteSettings(db: Decibels::of($to)), $situation)],
                Cost::FADER + $more,
                [$at],
            );
        }
    }
}

<?php

declare(strict_types=1);

namespace HiddenWire\Core\Planning\Remedies;

use HiddenWire\Core\Edit\Follow;
use HiddenWire\Core\Edit\SetPoint;
use HiddenWire\Core\Edit\SetRoute;
use HiddenWire\Core\Equipment\Point;
use HiddenWire\Core\Equipment\Route;
use HiddenWire\Core\Equipment\RouteSetting;
use HiddenWire\Core\Equipment\Standing;
use HiddenWire\Core\Planning\Candidate;
use HiddenWire\Core\Planning\Cost;
use HiddenWire\Core\Planning\Remedy;
use HiddenWire\Core\Planning\Trouble;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\PointSettings;
use HiddenWire\Core\Rig\RouteRef;
use HiddenWire\Core\Rig\RouteSettings;
use HiddenWire\Core\Signal\BlockKind;
use HiddenWire\Core\Signal\Verdict;

/** Mutes, routes and selectors: off where they should be on, on where they should be off, or the other way. */
final class Switches implements Remedy
{
    public function isOfCables(): bool
    {
        return false;
    }

    public function candidates(Trouble $trouble): iterable
    {
        if ($trouble->lacks()) {
            foreach ($trouble->graph->links as $link) {
                if ($link->block === BlockKind::Muted && $link->at instanceof PointRef && $trouble->region->isJoinedBy($link)) {
                    yield from $this->mute($trouble, $link->at, false);
                } elseif ($link->block === BlockKind::Off && $link->at instanceof RouteRef && $trouble->region->isJoinedBy($link)) {
                    yield from $this->route($trouble, $link->at, true);
                }
            }
        }
        foreach ($trouble->hasTooMuch() ? $trouble->hops() : [] as $hop) {
            $stopsEnough = $trouble->pair->verdict === Verdict::Leak || ! $trouble->isOnAllWays($hop);
            if ($hop->at instanceof RouteRef) {
                yield from $stopsEnough ? $this->route($trouble, $hop->at, false) : [];
                yield from $this->selector($trouble, $hop->at);
            } elseif ($stopsEnough && $hop->at instanceof PointRef && $trouble->rig->point($hop->at)->mute !== null) {
                yield from $this->mute($trouble, $hop->at, true);
            }
        }
    }

    /** @return iterable<Candidate> */
    private function mute(Trouble $trouble, PointRef $at, bool $mute): iterable
    {
        $name = $trouble->names->of($at);
        $part = $trouble->partOf($at);
        $keeper = $trouble->graph->state->autoMutedBy($at->unit, $trouble->rig->point($at));
        if ($keeper !== null && ! $mute) {
            // The unit's own rule: what keeps it mute has to be muted instead.
            $open = new PointRef($at->unit, $keeper->id);
            foreach ($keeper->mute === null ? [] : $trouble->placesOf($open, 'mute') as $more => $situation) {
                yield new Candidate(
                    "mute {$open} 1 {$situation}",
                    "{$name} is muted by the unit itself while {$keeper->label} is on",
                    "Mute {$trouble->partOf($open)}{$trouble->where($situation)}",
                    [new SetPoint($open, new PointSettings(mute: true), $situation)],
                    Cost::SWITCH + $more,
                    [$at, $open],
                );
            }
            foreach ($trouble->placesOf($at, 'autoMute') as $more => $situation) {
                yield new Candidate(
                    "rule {$at} {$situation}",
                    "{$name} is muted by the unit itself while {$keeper->label} is on",
                    "Turn off the automatic mute of {$part}{$trouble->where($situation)}",
                    [new SetPoint($at, new PointSettings(autoMute: false), $situation)],
                    Cost::RULE + $more,
                    [$at],
                );
            }

            return;
        }
        foreach ($trouble->placesOf($at, 'mute') as $more => $situation) {
            yield new Candidate(
                "mute {$at} {$mute} {$situation}",
                $mute ? "{$name} is not muted" : "{$name} is muted",
                ($mute ? "Mute {$part}" : "Unmute {$part}").$trouble->where($situation),
                [new SetPoint($at, new PointSettings(mute: $mute), $situation)],
                Cost::SWITCH + $more,
                [$at],
            );
        }
    }

    /** @return iterable<Candidate> */
    private function route(Trouble $trouble, RouteRef $at, bool $on, int $further = 0): iterable
    {
        $route = $trouble->rig->modelOf($at->unit)->routes[$at->key];
        yield from $this->solo($trouble, $at, $route, $on);
        yield from $this->rule($trouble, $at, $on);
        yield from $this->following($trouble, $at, $route, $on);
        if (! $trouble->rig->modelOf($at->unit)->canSwitch($at->key)) {
            return;
        }
        $isSelector = $on && $route->group !== null;
        foreach ($trouble->placesOf($at, 'on') as $more => $situation) {
            yield new Candidate(
                "route {$at} {$on} {$situation}",
                $isSelector
                    ? $this->isElsewhere($trouble, $at, $route)
                    : "{$trouble->names->of($at)} is ".($on ? 'off' : 'on'),
                ($isSelector ? "Switch {$trouble->rig->units[$at->unit]->name} to {$trouble->names->route($at)}"
                    : ($on ? 'Switch on ' : 'Switch off ').$trouble->partOf($at)).$trouble->where($situation),
                [new SetRoute($at, new RouteSettings(on: $on), $situation)],
                Cost::SWITCH + $more + $further,
                [$at],
            );
        }
    }

    /** @return iterable<Candidate> a solo switch that was left on: it takes a bus over */
    private function solo(Trouble $trouble, RouteRef $at, Route $route, bool $on): iterable
    {
        $soloed = $trouble->graph->state->soloedOver($at->unit, $route->to);
        if ($soloed === [] || isset($soloed[$route->from]) === $on) {
            return;
        }
        $unit = $trouble->rig->units[$at->unit]->name;
        $bus = $trouble->rig->point(new PointRef($at->unit, $route->to))->label;
        $labels = implode(' and ', array_map(fn (Point $point) => $point->label, $soloed));
        $edits = [];
        foreach ($soloed as $point) {
            $ref = new PointRef($at->unit, $point->id);
            $edits[] = new SetPoint($ref, new PointSettings(solo: false), $trouble->placesOf($ref, 'solo')[0]);
        }
        $about = array_map(fn (Point $point) => new PointRef($at->unit, $point->id), array_values($soloed));
        yield new Candidate(
            "solo {$at->unit} {$route->to}",
            "{$unit}: {$labels} ".(count($soloed) === 1 ? 'is' : 'are')." soloed and took {$bus} over",
            "Take {$labels} of {$unit} out of solo",
            $edits,
            Cost::SWITCH,
            $about,
        );
    }

    /** @return iterable<Candidate> a rule of the unit that switches a route by itself: what ends one of its conditions */
    private function rule(Trouble $trouble, RouteRef $at, bool $on): iterable
    {
        $state = $trouble->graph->state;
        $rule = $state->ruleOf($at->unit, $at->key);
        $model = $trouble->rig->modelOf($at->unit);
        if ($rule === null || $rule->routes[$at->key] === $on) {
            return;
        }
        foreach ($rule->when as $condition) {
            $point = $model->points[$condition->point];
            $ref = new PointRef($at->unit, $point->id);
            [$set, $does] = match ($condition->is) {
                Standing::Open => [new PointSettings(mute: true), 'Mute'],
                Standing::Muted => [new PointSettings(mute: false), 'Unmute'],
                Standing::Soloed => [new PointSettings(solo: false), 'Take out of solo'],
            };
            if ($condition->is !== Standing::Soloed && $point->mute === null) {
                continue;
            }
            foreach ($trouble->placesOf($ref, $condition->is === Standing::Soloed ? 'solo' : 'mute') as $more => $situation) {
                yield new Candidate(
                    "rule {$ref} {$condition->is->value} {$situation}",
                    "{$trouble->rig->units[$at->unit]->name}: {$rule->label} is in force {$rule->words($model)}",
                    "{$does} {$trouble->partOf($ref)}{$trouble->where($situation)}",
                    [new SetPoint($ref, $set, $situation)],
                    Cost::RULE + $more,
                    [$at, $ref],
                );
            }
        }
    }

    /** @return iterable<Candidate> an output that follows another: its own recipe for one of the sounds */
    private function following(Trouble $trouble, RouteRef $at, Route $route, bool $on): iterable
    {
        $follows = $trouble->rig->units[$at->unit]->follows[$route->to] ?? null;
        $isLed = $follows !== null && ! in_array($route->from, $follows->except, true)
            && isset($trouble->rig->modelOf($at->unit)->routes["{$route->from}>{$follows->of}"]);
        if (! $isLed || ! $route->allows(RouteSetting::On)) {
            return;
        }
        $model = $trouble->rig->modelOf($at->unit);
        [$from, $to, $of] = [$model->points[$route->from]->label, $model->points[$route->to]->label, $model->points[$follows->of]->label];
        yield new Candidate(
            "except {$at} {$on}",
            "{$trouble->rig->units[$at->unit]->name}: {$to} follows {$of}, which ".($on ? "leaves {$from} out" : "has {$from}"),
            ($on ? "Let {$to} have {$from} although {$of} has it not" : "Leave {$from} out of {$to} although {$of} has it"),
            [
                new Follow(new PointRef($at->unit, $route->to), $follows->with(except: [...$follows->except, $route->from])),
                new SetRoute($at, new RouteSettings(on: $on)),
            ],
            Cost::SWITCH + Cost::OTHER_SELECTION,
            [$at],
        );
    }

    /** What a selector is switched to instead of a route. */
    private function isElsewhere(Trouble $trouble, RouteRef $at, Route $route): string
    {
        $model = $trouble->rig->modelOf($at->unit);
        $unit = $trouble->rig->units[$at->unit]->name;
        foreach ($model->routes as $key => $other) {
            if ($other->group !== $route->group || ! $trouble->graph->state->route($at->unit, $other)->on) {
                continue;
            }
            if ($other->to === $route->to && $model->isPlayedTo($other->from) && ! $model->isPlayedTo($route->from)) {
                return "The loopback of {$model->points[$other->from]->label} takes the place of {$model->points[$route->from]->label} "
                    ."on {$unit}";
            }

            return "{$unit} is switched to {$trouble->names->route(new RouteRef($at->unit, (string) $key))}, not to "
                ."{$trouble->names->route($at)}";
        }

        return "{$unit} is not switched to {$trouble->names->route($at)}";
    }

    /** @return iterable<Candidate> the others of an exclusive group */
    private function selector(Trouble $trouble, RouteRef $at): iterable
    {
        $model = $trouble->rig->modelOf($at->unit);
        $now = $model->routes[$at->key];
        $others = [];
        foreach ($now->group === null ? [] : $model->routes as $route) {
            if ($route->group === $now->group && $route->choice() !== $now->choice()) {
                $others[$route->choice()] ??= $route;
            }
        }
        foreach ($others as $route) {
            yield from $this->route($trouble, new RouteRef($at->unit, $route->key()), true, Cost::OTHER_SELECTION);
        }
    }
}

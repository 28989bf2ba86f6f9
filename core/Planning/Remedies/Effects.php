<?php

declare(strict_types=1);

namespace HiddenWire\Core\Planning\Remedies;

use HiddenWire\Core\Edit\SetEffect;
use HiddenWire\Core\Edit\SwitchEffect;
use HiddenWire\Core\Planning\Candidate;
use HiddenWire\Core\Planning\Cost;
use HiddenWire\Core\Planning\Remedy;
use HiddenWire\Core\Planning\Trouble;
use HiddenWire\Core\Rig\Effect;
use HiddenWire\Core\Rig\EffectSwitch;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\RouteRef;
use HiddenWire\Core\Rig\Treatment;
use HiddenWire\Core\Rig\Unit;
use HiddenWire\Core\Signal\Verdict;

/** Effects that a sound passes though it has to be dry, or passes by though it has to be processed. */
final class Effects implements Remedy
{
    public function isOfCables(): bool
    {
        return false;
    }

    public function candidates(Trouble $trouble): iterable
    {
        $wanted = $trouble->pair->wish?->treatment;
        if ($trouble->pair->verdict !== Verdict::Treated || $wanted === null) {
            return;
        }
        // The points of the strongest way, each with the point of its unit that it goes into.
        $into = [];
        foreach ($trouble->pair->arrivals()[0]->hops ?? [] as $hop) {
            if ($hop->at instanceof RouteRef) {
                $route = $trouble->rig->modelOf($hop->at->unit)->routes[$hop->at->key];
                $into["{$hop->at->unit}/{$route->from}"] = $route->to;
            } elseif ($hop->at instanceof PointRef) {
                $into += [(string) $hop->at => null];
            }
        }
        foreach ($into as $at => $to) {
            [$unit, $point] = explode('/', $at);
            foreach ($trouble->rig->units[$unit]->effects as $effect) {
                if ($effect->at === $point) {
                    yield from $this->switched($trouble, $trouble->rig->units[$unit], $effect, $to, $wanted === Treatment::Processed);
                }
            }
        }
    }

    /** @return iterable<Candidate> */
    private function switched(Trouble $trouble, Unit $unit, Effect $effect, ?string $into, bool $on): iterable
    {
        $now = array_filter(
            $trouble->graph->state->effects($unit->id, $effect->at, $into),
            fn (Effect $one) => $one->id === $effect->id,
        ) !== [];
        if ($now === $on) {
            return;
        }
        $model = $trouble->rig->modelOf($unit);
        $at = new PointRef($unit->id, $effect->at);
        $name = "{$effect->label()} of {$trouble->partOf($at)}";
        $isOffFor = $into !== null && in_array($into, $effect->offFor, true);
        if ($into !== null && ($model->points[$effect->at]->effects->perMix ?? false) && ($isOffFor || ! $on)) {
            $others = array_values(array_diff($effect->offFor, [$into]));
            $mix = $model->points[$into]->label;
            yield new Candidate(
                "effect {$unit->id} {$effect->id} {$into} {$on}",
                $on ? "{$name} is not on for {$mix}" : "{$name} is on for {$mix}",
                ($on ? 'Switch on ' : 'Bypass ')."{$name} for {$mix}",
                [new SetEffect($unit->id, $effect->with(offFor: $on ? $others : [...$effect->offFor, $into]))],
                Cost::SWITCH,
                [$at],
            );
        }
        $situation = $trouble->graph->state->situation;
        $isHere = array_filter($situation->effects, fn (EffectSwitch $one) => $one->slot() === "{$unit->id} {$effect->id}") !== [];
        foreach ($isOffFor ? [] : ($trouble->rig->isBase($situation->id) ? [false] : ($isHere ? [true] : [false, true])) as $n => $here) {
            yield new Candidate(
                "effect {$unit->id} {$effect->id} {$on} ".($here ? $situation->id : ''),
                $on ? "{$name} is bypassed" : "{$name} is on",
                ($on ? 'Switch on ' : 'Bypass ').$name.$trouble->where($here ? $situation->id : null),
                [$here
                    ? new SwitchEffect($situation->id, $unit->id, $effect->id, $on)
                    : new SetEffect($unit->id, $effect->with(on: $on))],
                Cost::SWITCH + Cost::OTHER_SELECTION + $n * Cost::ONE_SITUATION,
                [$at],
            );
        }
    }
}

<?php

declare(strict_types=1);

namespace HiddenWire\Core\Signal;

use HiddenWire\Core\Equipment\EffectKind;
use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Rig\Effect;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\Unit;

/** What lowers what: duckers as they stand in a situation, with the sounds that come to the points that they listen to. */
final readonly class Ducking
{
    public function __construct(private SignalGraph $graph)
    {
    }

    /** @return list<Lowering> what lowers a sound on its strongest way to a listener, as it passes them */
    public function of(HeardPair $pair): array
    {
        $lowerings = [];
        foreach ($pair->isHeard() ? ($pair->arrivals()[0] ?? null)?->hopsOf(HopKind::Effect) ?? [] : [] as $hop) {
            $effect = $hop->at instanceof PointRef && $hop->effect !== null
                ? $this->graph->rig->units[$hop->at->unit]->effect($hop->effect) : null;
            if ($hop->at instanceof PointRef && $effect?->kind === EffectKind::Ducker) {
                $lowerings[] = $this->lowering($hop->at->unit, $effect);
            }
        }

        return $lowerings;
    }

    /** @return list<Lowering> the duckers of a unit that are on */
    public function ofUnit(Unit $unit): array
    {
        $lowerings = [];
        foreach ($unit->effects as $effect) {
            $isOn = array_filter($this->graph->state->effects($unit->id, $effect->at), fn (Effect $one) => $one->id === $effect->id) !== [];
            if ($effect->kind === EffectKind::Ducker && $isOn) {
                $lowerings[] = $this->lowering($unit->id, $effect);
            }
        }

        return $lowerings;
    }

    private function lowering(string $unit, Effect $effect): Lowering
    {
        $sources = [];
        foreach ($effect->values->by ?? [] as $by) {
            // What is shut there lowers nothing.
            $sources += $this->graph->field()->levelsAt($this->graph->exit("{$unit}/{$by}"));
        }

        return new Lowering(
            new PointRef($unit, $effect->at),
            $effect,
            $effect->values->lowers ?? Decibels::zero(),
            array_values(array_intersect_key($this->graph->rig->sources, $sources)),
        );
    }
}

<?php

declare(strict_types=1);

namespace HiddenWire\Core\Signal;

use HiddenWire\Core\Equipment\EffectKind;
use HiddenWire\Core\Rig\Effect;
use HiddenWire\Core\Rig\Names;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\Unit;

/** Chains of effects whose order defeats what they are for. */
final readonly class EffectOrder
{
    /** What is so much softer than the loudest is no part of a mix. */
    private const BESIDE_DB = 20.0;

    public function __construct(private SignalGraph $graph)
    {
    }

    /** @return list<string> each as a sentence */
    public function troubles(Unit $unit): array
    {
        $chains = [];
        foreach ($unit->effects as $effect) {
            $chains[$effect->at] ??= $this->graph->state->effects($unit->id, $effect->at);
        }
        $troubles = [];
        foreach ($chains as $at => $chain) {
            $name = (new Names($this->graph->rig))->of(new PointRef($unit->id, (string) $at));
            $place = fn (EffectKind ...$kinds): ?int => array_key_first(
                array_filter($chain, fn (Effect $one) => in_array($one->kind, $kinds, true)),
            );
            $levels = $this->graph->field()->levelsAt($this->graph->entry("{$unit->id}/{$at}"), Readings::LEAST_DB);
            $mixed = array_filter($levels, fn (float $db) => $db > max([-INF, ...array_values($levels)]) - self::BESIDE_DB);
            if ($place(EffectKind::NoiseRemoval) !== null && count($mixed) > 1) {
                $troubles[] = "{$name}: noise removal behind a mix takes all but one voice for noise. Put it before the sounds meet.";
            }
            if ($place(EffectKind::Gate) !== null && count($mixed) > 1) {
                $troubles[] = "{$name}: a gate behind a mix is opened by any of its sounds. Put it before they meet.";
            }
            [$first, $last] = [$place(EffectKind::Compressor), $place(EffectKind::Gate, EffectKind::NoiseRemoval)];
            if ($first !== null && $last !== null && $first < $last) {
                $troubles[] = "{$name}: the compressor lifts the room that {$chain[$last]->label()} behind it should hush. "
                    .'Exchange the two.';
            }
            $limiter = $place(EffectKind::Limiter);
            $lifts = array_filter(
                $chain,
                fn (Effect $one, int $i) => $limiter !== null && $i > $limiter && ($one->db?->value() ?? 0) > 0,
                ARRAY_FILTER_USE_BOTH,
            );
            if ($lifts !== []) {
                $troubles[] = "{$name}: ".reset($lifts)->label().' lifts the level behind the limiter. Put the limiter last.';
            }
        }

        return $troubles;
    }
}

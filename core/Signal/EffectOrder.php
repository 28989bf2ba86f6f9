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

    /** Of two effects the earlier, the later, and what one of them does to the other; `%s` is the later. */
    private const DEFEATS = [
        [EffectKind::Compressor, EffectKind::Gate, 'the compressor lifts the room that %s behind it should hush. Exchange the two.'],
        [EffectKind::Compressor, EffectKind::NoiseRemoval,
            'the compressor lifts the room that %s behind it should hush. Exchange the two.'],
        [EffectKind::Gate, EffectKind::NoiseRemoval,
            'the gate silences the pauses from which %s behind it learns the noise. Exchange the two.'],
        [EffectKind::Compressor, EffectKind::HighPass,
            'rumble drives the compressor before %s takes it away. Exchange the two.'],
        [EffectKind::Gate, EffectKind::HighPass, 'rumble opens the gate before %s takes it away. Exchange the two.'],
        [EffectKind::NoiseRemoval, EffectKind::NoiseRemoval, '%s works on what another has left of the voice. Keep one of the two.'],
    ];

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
            array_push($troubles, ...array_map(fn (string $says) => "{$name}: {$says}", self::defeated($chain)));
            $limiter = $place(EffectKind::Limiter);
            $lifts = array_filter(
                $chain,
                fn (Effect $one, int $i) => $limiter !== null && $i > $limiter && $one->liftOfQuiet() > 0,
                ARRAY_FILTER_USE_BOTH,
            );
            if ($lifts !== []) {
                $troubles[] = "{$name}: ".reset($lifts)->label().' lifts the level behind the limiter. Put the limiter last.';
            }
        }

        return $troubles;
    }

    /**
     * @param  list<Effect>  $chain
     * @return list<string> what of a chain another of it defeats, each kind of pair once
     */
    private static function defeated(array $chain): array
    {
        $told = [];
        foreach (self::DEFEATS as [$earlier, $later, $says]) {
            $first = array_key_first(array_filter($chain, fn (Effect $one) => $one->kind === $earlier));
            $behind = array_filter(
                $first === null ? [] : array_slice($chain, $first + 1),
                fn (Effect $one) => $one->kind === $later,
            );
            if ($behind !== []) {
                $told[] = sprintf($says, reset($behind)->label());
            }
        }

        return $told;
    }
}

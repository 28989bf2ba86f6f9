<?php

declare(strict_types=1);

namespace App\ViewModels;

use HiddenWire\Core\Equipment\EffectKind;
use HiddenWire\Core\Equipment\Point;
use HiddenWire\Core\Equipment\PointKind;
use HiddenWire\Core\Equipment\Route;
use HiddenWire\Core\Rig\Effect;
use HiddenWire\Core\Rig\Unit;
use HiddenWire\Core\Signal\Ducking;
use HiddenWire\Core\Signal\EffectOrder;
use HiddenWire\Core\Signal\SignalGraph;

/** The chains of effects of one unit: what is in them, in which order, for which mixes, and what could be added. */
final readonly class Chains
{
    /**
     * @var list<array{point: Point, effects: list<array{effect: Effect, says: string, isOn: bool, isFirst: bool, isLast: bool}>,
     *     mixes: array<string, string>, kinds: list<EffectKind>, others: array<string, string>}> of points with room for effects; `says`
     *     what is set at it; `mixes` that an effect can be left out of, by point; `kinds` that have room; `others` points by whose sounds
     *     one can lower its own
     */
    public array $all;

    /** @var list<string> orders that defeat themselves */
    public array $troubles;

    public function __construct(SignalGraph $graph, Unit $unit)
    {
        $model = $graph->rig->modelOf($unit);
        $chains = [];
        foreach ($model->points as $point) {
            if ($point->effects === null) {
                continue;
            }
            $own = array_values(array_filter($unit->effects, fn (Effect $one) => $one->at === $point->id));
            $on = array_map(fn (Effect $one) => $one->id, $graph->state->effects($unit->id, $point->id));
            $into = array_filter($model->routes, fn (Route $route) => $route->from === $point->id);
            $mixes = [];
            foreach ($point->effects->perMix ? $into : [] as $route) {
                $mixes[$route->to] = $model->points[$route->to]->label;
            }
            $chains[] = [
                'point' => $point,
                'effects' => array_map(fn (Effect $one, int $i) => [
                    'effect' => $one, 'says' => self::says($graph, $unit, $one), 'isOn' => in_array($one->id, $on, true),
                    'isFirst' => $i === 0, 'isLast' => $i === count($own) - 1,
                ], $own, array_keys($own)),
                'mixes' => $mixes,
                'kinds' => count($own) >= $point->effects->most
                    ? []
                    : array_values(array_filter(EffectKind::cases(), $point->effects->takes(...))),
                'others' => array_map(fn (Point $other) => $other->label, array_filter(
                    $model->points,
                    fn (Point $other) => $other->id !== $point->id && $other->kind !== PointKind::Ear,
                )),
            ];
        }
        $this->all = $chains;
        $this->troubles = $unit->effects === [] ? [] : (new EffectOrder($graph))->troubles($unit);
    }

    /** What is set at an effect, in words; of a ducker, by whose sound it lowers. */
    private static function says(SignalGraph $graph, Unit $unit, Effect $effect): string
    {
        foreach ($effect->kind === EffectKind::Ducker ? (new Ducking($graph))->ofUnit($unit) : [] as $lowering) {
            if ($lowering->effect->id === $effect->id) {
                return $lowering->words();
            }
        }
        $points = $graph->rig->modelOf($unit)->points;

        return $effect->values?->words(fn (string $point) => $points[$point]->label) ?? '';
    }

    /** @return array<string, string> points with room for another effect, by id */
    public function withRoom(): array
    {
        $labels = [];
        foreach ($this->all as $chain) {
            $labels += $chain['kinds'] === [] ? [] : [$chain['point']->id => $chain['point']->label];
        }

        return $labels;
    }

    /** @return list<EffectKind> kinds for which any of them has room */
    public function kinds(): array
    {
        return array_values(array_filter(
            EffectKind::cases(),
            fn (EffectKind $kind) => array_filter($this->all, fn (array $chain) => in_array($kind, $chain['kinds'], true)) !== [],
        ));
    }

    /** How many effects there are. */
    public function count(): int
    {
        return array_sum(array_map(fn (array $chain) => count($chain['effects']), $this->all));
    }
}

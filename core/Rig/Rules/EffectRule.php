<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig\Rules;

use HiddenWire\Core\Equipment\EffectKind;
use HiddenWire\Core\Equipment\EquipmentModel;
use HiddenWire\Core\Quantity\Count;
use HiddenWire\Core\Rig\Unit;

/** Effects stand where there is room for them. */
final class EffectRule implements Rule
{
    public function reads(): array
    {
        return ['units', 'models'];
    }

    public function check(Fit $in): void
    {
        foreach ($in->units() as $i => [$unit, $model]) {
            $this->ofUnit($in, $unit, $model, $i);
        }
    }

    /** The chains of a unit's points. */
    private function ofUnit(Fit $in, Unit $unit, EquipmentModel $model, int $i): void
    {
        $ids = $counts = [];
        foreach ($unit->effects as $e => $effect) {
            $pointer = "/units/{$i}/effects/{$e}";
            if (isset($ids[$effect->id])) {
                $in->problem("{$pointer}/id", "The id \"{$effect->id}\" is taken by /units/{$i}/effects/{$ids[$effect->id]}.");
            }
            $ids[$effect->id] ??= $e;
            $point = $model->points[$effect->at] ?? null;
            $rack = $point?->effects;
            if ($point === null || $rack === null) {
                $in->problem("{$pointer}/at", $point === null
                    ? "The model \"{$model->id}\" has no point \"{$effect->at}\"."
                    : "\"{$point->label}\" has no room for effects.");

                continue;
            }
            $counts[$effect->at] = ($counts[$effect->at] ?? 0) + 1;
            if ($counts[$effect->at] === $rack->most + 1) {
                $in->problem("{$pointer}/at", "\"{$point->label}\" has room for ".Count::of($rack->most, 'effect').'.');
            }
            if (! $rack->takes($effect->kind)) {
                $in->problem("{$pointer}/kind", "\"{$point->label}\" takes only ".implode(
                    ', ',
                    array_map(fn (EffectKind $one) => mb_strtolower($one->words()), $rack->kinds),
                ).'.');
            }
            foreach ($effect->values->by ?? [] as $b => $by) {
                if (! isset($model->points[$by]) || $by === $effect->at) {
                    $in->problem("{$pointer}/values/by/{$b}", $by === $effect->at
                        ? 'A sound that lowers itself never comes up again: name other points.'
                        : "The model \"{$model->id}\" has no point \"{$by}\".");
                }
            }
            foreach ($effect->offFor as $o => $into) {
                if (! $rack->perMix || ! isset($model->routes["{$effect->at}>{$into}"])) {
                    $in->problem("{$pointer}/off_for/{$o}", $rack->perMix
                        ? "Nothing leads from \"{$effect->at}\" to \"{$into}\"."
                        : "\"{$point->label}\" has its effects for all mixes or none.");
                }
            }
        }
    }
}

<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig\Rules;

use HiddenWire\Core\Equipment\EquipmentModel;
use HiddenWire\Core\Rig\Unit;

/** Scenes hold what a program can show. */
final class SceneRule implements Rule
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

    /** The scenes of a program. */
    private function ofUnit(Fit $in, Unit $unit, EquipmentModel $model, int $i): void
    {
        $ids = [];
        foreach ([...$unit->scenes, null] as $s => $scene) {
            $pointer = $scene === null ? "/units/{$i}/always" : "/units/{$i}/scenes/{$s}/sources";
            foreach ($scene->sources ?? $unit->always as $p => $point) {
                if (! ($model->points[$point]->inScenes ?? false)) {
                    $in->problem("{$pointer}/{$p}", isset($model->points[$point])
                        ? "\"{$model->points[$point]->label}\" is in no scene: it always sounds."
                        : "The model \"{$model->id}\" has no point \"{$point}\".");
                }
            }
            if ($scene !== null && isset($ids[$scene->id])) {
                $in->problem("/units/{$i}/scenes/{$s}/id", "The id \"{$scene->id}\" is taken by /units/{$i}/scenes/{$ids[$scene->id]}.");
            }
            $ids += $scene === null ? [] : [$scene->id => $s];
        }
    }
}

<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig\Rules;

use HiddenWire\Core\Equipment\EquipmentModel;
use HiddenWire\Core\Equipment\Point;
use HiddenWire\Core\Rig\Unit;

/** Pictures go with points that are there. */
final class PictureRule implements Rule
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

    private function ofUnit(Fit $in, Unit $unit, EquipmentModel $model, int $i): void
    {
        $ids = $tied = [];
        foreach ($unit->pictures as $p => $picture) {
            $pointer = "/units/{$i}/pictures/{$p}";
            if (isset($ids[$picture->id])) {
                $in->problem("{$pointer}/id", "The id \"{$picture->id}\" is taken by /units/{$i}/pictures/{$ids[$picture->id]}.");
            }
            $ids[$picture->id] ??= $p;
            $point = $picture->sound === null ? null : $model->points[$picture->sound] ?? null;
            if ($picture->sound !== null && ($point === null || ! $point->inScenes)) {
                $in->problem("{$pointer}/sound", $point === null
                    ? "The model \"{$model->id}\" has no point \"{$picture->sound}\"."
                    : "\"{$point->label}\" is in no scene: it always sounds.");
            }
            if ($picture->isTied && isset($tied[$picture->sound])) {
                $in->problem("{$pointer}/tied", "/units/{$i}/pictures/{$tied[$picture->sound]} has this sound already.");
            }
            $tied += $picture->isTied ? [$picture->sound => $p] : [];
        }
        if ($unit->pictures !== [] && array_filter($model->points, fn (Point $point) => $point->inScenes) === []) {
            $in->problem("/units/{$i}/pictures", "A {$model->name} shows no pictures.");
        }
        foreach ([...$unit->scenes, null] as $s => $scene) {
            $pointer = "/units/{$i}/".($scene === null ? 'always' : "scenes/{$s}/sources");
            foreach ($scene->sources ?? $unit->always as $n => $point) {
                if (isset($tied[$point])) {
                    $name = $unit->pictures[$tied[$point]]->name;
                    $in->problem("{$pointer}/{$n}", "This goes with the picture \"{$name}\": put that in.");
                }
            }
            foreach ($scene->pictures ?? [] as $n => $picture) {
                if (! isset($ids[$picture])) {
                    $in->problem("/units/{$i}/scenes/{$s}/pictures/{$n}", "The unit has no picture \"{$picture}\".");
                }
            }
        }
    }
}

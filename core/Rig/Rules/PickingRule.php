<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig\Rules;

use HiddenWire\Core\Equipment\EquipmentModel;
use HiddenWire\Core\Equipment\Point;
use HiddenWire\Core\Equipment\Takes;

/** What a point says of the devices that it takes. */
final class PickingRule implements Rule
{
    public function reads(): array
    {
        return ['models'];
    }

    public function check(Fit $in): void
    {
        foreach ($in->parts->models as $model) {
            foreach (array_values($model->points) as $p => $point) {
                $this->point($in, $model, $point, "/models/{$model->id}/points/{$p}");
            }
            if ($model->takes !== Takes::Chosen && ! $model->family->isHost()) {
                $in->problem("/models/{$model->id}/takes", 'Only a computer or tablet takes devices.');
            }
        }
    }

    /** What a point says of the devices that it takes. */
    private function point(Fit $in, EquipmentModel $model, Point $point, string $pointer): void
    {
        $said = [
            'pick_from' => $point->pickFrom !== [], 'several' => $point->several > 1, 'device_of' => $point->deviceOf !== null,
        ];
        foreach ($said as $key => $isSaid) {
            if ($isSaid && $point->picks === null) {
                $in->problem("{$pointer}/{$key}", 'Only a point that "picks" a device says this.');
            }
        }
        if ($point->deviceOf === null) {
            return;
        }
        $giver = $model->points[$point->deviceOf] ?? null;
        if ($giver === null || $giver->picks !== $point->picks || $giver->deviceOf !== null) {
            $in->problem("{$pointer}/device_of", 'This is another point that picks a device of the same direction by itself.');
        }
        if ($point->several > 1 || $point->pickFrom !== []) {
            $in->problem("{$pointer}/device_of", 'A point with the device of another has no choice of devices itself.');
        }
    }
}

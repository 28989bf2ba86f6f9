<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig\Rules;

/** Solo switches lead to a point, and outputs follow others of the model. */
final class OutputRule implements Rule
{
    public function reads(): array
    {
        return ['models'];
    }

    public function check(Fit $in): void
    {
        foreach ($in->parts->models as $model) {
            $base = "/models/{$model->id}";
            foreach (array_values($model->points) as $p => $point) {
                if ($point->solo !== null && ! isset($model->points[$point->solo])) {
                    $in->problem("{$base}/points/{$p}/solo", "The model has no point \"{$point->solo}\".");
                }
                foreach ($point->canFollow as $f => $of) {
                    if (! isset($model->points[$of]) || $of === $point->id) {
                        $in->problem("{$base}/points/{$p}/can_follow/{$f}", 'This is another point of the model.');
                    }
                }
            }
        }
    }
}

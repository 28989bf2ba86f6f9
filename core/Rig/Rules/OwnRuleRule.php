<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig\Rules;

use HiddenWire\Core\Equipment\Standing;
use HiddenWire\Core\Rig\Problem;

/** What a model does by itself is about what it has. */
final class OwnRuleRule implements Rule
{
    public function reads(): array
    {
        return ['models'];
    }

    public function check(Fit $in): void
    {
        foreach ($in->parts->models as $model) {
            $base = "/models/{$model->id}";
            foreach (array_values($model->rules) as $r => $rule) {
                foreach ($rule->when as $w => $condition) {
                    $point = $model->points[$condition->point] ?? null;
                    if ($point === null) {
                        $in->problem("{$base}/rules/{$r}/when/{$w}/point", "The model has no point \"{$condition->point}\".");
                    } elseif ($condition->is === Standing::Soloed && $point->solo === null) {
                        $in->problem("{$base}/rules/{$r}/when/{$w}/is", "\"{$condition->point}\" has no solo switch.");
                    }
                }
                foreach (array_keys($rule->routes) as $key) {
                    if (! isset($model->routes[$key])) {
                        $in->problem(
                            "{$base}/rules/{$r}/routes/".Problem::token((string) $key),
                            "The model has no route \"{$key}\".",
                        );
                    }
                }
            }
        }
    }
}

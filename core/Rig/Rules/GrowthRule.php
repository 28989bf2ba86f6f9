<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig\Rules;

use HiddenWire\Core\Quantity\Count;

/** A model has as many parts of a kind as it may. */
final class GrowthRule implements Rule
{
    public function reads(): array
    {
        return ['models'];
    }

    public function check(Fit $in): void
    {
        foreach ($in->parts->models as $model) {
            $base = "/models/{$model->id}";
            foreach (array_values($model->grows) as $g => $growth) {
                $has = $growth->count($model);
                if ($has < max(1, $growth->least) || $has > $growth->most) {
                    $in->problem(
                        "{$base}/grows/{$g}",
                        'The model has '.Count::of($has, $growth->label).' by these parts; it has to have '.max(1, $growth->least)
                        ." to {$growth->most}.",
                    );
                }
                foreach ($growth->widens as $w => $wide) {
                    if (! isset($model->points[$wide]) || $growth->channelsOf($model, max(1, $has), $wide) === null) {
                        $in->problem(
                            "{$base}/grows/{$g}/widens/{$w}",
                            "No route with a channel map joins the last {$growth->label} and the point \"{$wide}\".",
                        );
                    }
                }
                foreach ($growth->between as $b => $pair) {
                    foreach (array_diff($pair, $growth->parts) as $part) {
                        $in->problem("{$base}/grows/{$g}/between/{$b}", "\"{$part}\" is none of its parts.");
                    }
                }
            }
        }
    }
}

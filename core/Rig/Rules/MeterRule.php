<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig\Rules;

/** Meters and lamps show what there is. */
final class MeterRule implements Rule
{
    public function reads(): array
    {
        return ['models'];
    }

    public function check(Fit $in): void
    {
        foreach ($in->parts->models as $model) {
            $base = "/models/{$model->id}";
            foreach (['meters', 'lamps'] as $kind) {
                foreach (array_values($model->{$kind}) as $i => $one) {
                    if ($one->point !== null && ! isset($model->points[$one->point])) {
                        $in->problem("{$base}/{$kind}/{$i}/point", "The model has no point \"{$one->point}\".");
                    }
                }
            }
            foreach (array_values($model->lamps) as $l => $lamp) {
                $setting = $lamp->setting === null ? null : $model->settings[$lamp->setting] ?? null;
                if ($lamp->setting !== null && $setting === null) {
                    $in->problem("{$base}/lamps/{$l}/setting", "The model has no setting \"{$lamp->setting}\".");
                }
                if ($setting !== null && $lamp->value !== null && $setting->whyNot($lamp->value) !== null) {
                    $in->problem("{$base}/lamps/{$l}/value", (string) $setting->whyNot($lamp->value));
                }
            }
        }
    }
}

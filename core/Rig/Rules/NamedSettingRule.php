<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig\Rules;

/** A named setting does something to what there is. */
final class NamedSettingRule implements Rule
{
    public function reads(): array
    {
        return ['models'];
    }

    public function check(Fit $in): void
    {
        foreach ($in->parts->models as $model) {
            $base = "/models/{$model->id}";
            foreach (array_values($model->settings) as $s => $setting) {
                foreach ($setting->effects as $e => $effect) {
                    $pointer = "{$base}/settings/{$s}/effects/{$e}";
                    if ($effect->route !== null && ! isset($model->routes[$effect->route])) {
                        $in->problem("{$pointer}/route", "The model has no route \"{$effect->route}\".");
                    }
                    if ($effect->point !== null && ! isset($model->points[$effect->point])) {
                        $in->problem("{$pointer}/point", "The model has no point \"{$effect->point}\".");
                    }
                    if ($effect->socket !== null && ! isset($model->sockets[$effect->socket])) {
                        $in->problem("{$pointer}/socket", "The model has no socket \"{$effect->socket}\".");
                    }
                    if ($effect->device !== null && ! $model->offers($effect->device)) {
                        $in->problem("{$pointer}/device", "Nothing at \"{$effect->device}\" is an audio device of a computer.");
                    }
                    if ($setting->whyNot($effect->value) !== null) {
                        $in->problem("{$pointer}/value", (string) $setting->whyNot($effect->value));
                    }
                }
            }
        }
    }
}

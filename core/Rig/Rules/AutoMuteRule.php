<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig\Rules;

/** What mutes by itself has something to mute. */
final class AutoMuteRule implements Rule
{
    public function reads(): array
    {
        return ['models'];
    }

    public function check(Fit $in): void
    {
        foreach ($in->parts->models as $model) {
            $base = "/models/{$model->id}";
            foreach ($model->autoMutes as $a => $rule) {
                foreach (['mutes' => [$rule->mutes], 'while_open' => $rule->whileOpen] as $key => $points) {
                    foreach ($points as $i => $point) {
                        if (! isset($model->points[$point])) {
                            $in->problem(
                                "{$base}/auto_mutes/{$a}/{$key}".($key === 'mutes' ? '' : "/{$i}"),
                                "The model has no point \"{$point}\".",
                            );
                        } elseif ($key === 'mutes' && $model->points[$point]->mute === null) {
                            $in->problem("{$base}/auto_mutes/{$a}/mutes", "\"{$point}\" has no mute switch.");
                        }
                    }
                }
            }
        }
    }
}

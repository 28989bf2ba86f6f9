<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig\Rules;

use HiddenWire\Core\Quantity\Count;

/** Lanes lead to points that are there, and to channels that these have. */
final class LaneRule implements Rule
{
    public function reads(): array
    {
        return ['models'];
    }

    public function check(Fit $in): void
    {
        foreach ($in->parts->models as $model) {
            $base = "/models/{$model->id}";
            $s = 0;
            foreach ($model->sockets as $socket) {
                $l = 0;
                foreach ($socket->lanes as $lane) {
                    $pointer = "{$base}/sockets/{$s}/lanes/{$l}";
                    $point = $model->points[$lane->point] ?? null;
                    if ($point === null) {
                        $in->problem("{$pointer}/point", "The model has no point \"{$lane->point}\".");
                    } elseif ($lane->channels !== null && $lane->channels !== [] && max($lane->channels) > $point->channels) {
                        $in->problem("{$pointer}/channels", "The point \"{$lane->point}\" has only ".Count::of($point->channels, 'channel')
                            .'.');
                    }
                    $l++;
                }
                $s++;
            }
        }
    }
}

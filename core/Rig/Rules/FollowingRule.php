<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig\Rules;

use HiddenWire\Core\Equipment\EquipmentModel;
use HiddenWire\Core\Equipment\RouteSetting;
use HiddenWire\Core\Rig\Problem;
use HiddenWire\Core\Rig\Unit;

/** Outputs follow outputs, and linked routes have levels. */
final class FollowingRule implements Rule
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

    /** Outputs of a unit that follow others, and levels that are linked. */
    private function ofUnit(Fit $in, Unit $unit, EquipmentModel $model, int $i): void
    {
        foreach ($unit->follows as $id => $following) {
            $pointer = "/units/{$i}/follows/".Problem::token((string) $id);
            $point = $model->points[$id] ?? null;
            if ($point === null) {
                $in->problem($pointer, "The model \"{$model->id}\" has no point \"{$id}\".");

                continue;
            }
            if (! in_array($following->of, $point->canFollow, true)) {
                $in->problem("{$pointer}/of", $point->canFollow === []
                    ? "\"{$point->label}\" follows no other output."
                    : "\"{$point->label}\" follows one of ".implode(', ', $point->canFollow).'.');
            } elseif (isset($unit->follows[$following->of])) {
                $in->problem("{$pointer}/of", "\"{$following->of}\" follows another output itself.");
            }
            foreach ($following->except as $e => $from) {
                if (! isset($model->routes["{$from}>{$id}"])) {
                    $in->problem("{$pointer}/except/{$e}", "Nothing leads from \"{$from}\" to \"{$id}\".");
                }
            }
        }
        $seen = [];
        foreach ($unit->linked as $l => $keys) {
            foreach ($keys as $k => $key) {
                $pointer = "/units/{$i}/linked/{$l}/{$k}";
                if (! ($model->routes[$key] ?? null)?->allows(RouteSetting::Db)) {
                    $in->problem($pointer, "The model \"{$model->id}\" has no route \"{$key}\" with a level of its own.");
                }
                if (isset($seen[$key])) {
                    $in->problem($pointer, 'This route is linked already.');
                }
                $seen[$key] = true;
            }
        }
    }
}

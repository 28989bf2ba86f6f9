<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig\Rules;

use HiddenWire\Core\Equipment\Dials\Dials;
use HiddenWire\Core\Equipment\EquipmentModel;
use HiddenWire\Core\Equipment\RouteSetting;
use HiddenWire\Core\Rig\PointSettings;
use HiddenWire\Core\Rig\RouteSettings;

/** Whether a setting is one that the model has, and is in its range. */
final class Settled
{
    public static function point(Fit $in, EquipmentModel $model, string $id, PointSettings $settings, string $pointer): void
    {
        $point = $model->points[$id] ?? null;
        if ($point === null) {
            $in->problem($pointer, "The model \"{$model->id}\" has no point \"{$id}\".");

            return;
        }
        foreach (Dials::all() as $kind) {
            $value = $settings->of($kind);
            $trouble = $value === null ? null : $kind->whyNot($value, $model, $point);
            if ($trouble !== null) {
                $in->problem("{$pointer}/{$kind->key()}", $trouble);
            }
        }
    }

    public static function route(Fit $in, EquipmentModel $model, string $key, RouteSettings $settings, string $pointer): void
    {
        $route = $model->routes[$key] ?? null;
        if ($route === null) {
            $in->problem($pointer, "The model \"{$model->id}\" has no route \"{$key}\".");

            return;
        }
        foreach (['on' => $settings->on, 'db' => $settings->db, 'tap' => $settings->tap] as $name => $value) {
            if ($value !== null && ! $route->allows(RouteSetting::from($name))) {
                $in->problem("{$pointer}/{$name}", "The model fixes \"{$name}\" of the route \"{$key}\".");
            }
        }
        $trouble = $settings->db === null ? null : $route->whyNotAt($settings->db);
        if ($trouble !== null) {
            $in->problem("{$pointer}/db", $trouble);
        }
    }

    public static function named(Fit $in, EquipmentModel $model, string $id, string|bool|float $value, string $pointer): void
    {
        $setting = $model->settings[$id] ?? null;
        $trouble = $setting === null ? "The model \"{$model->id}\" has no setting \"{$id}\"." : $setting->whyNot($value);
        if ($trouble !== null) {
            $in->problem($pointer, $trouble);
        }
    }
}

<?php

declare(strict_types=1);

namespace HiddenWire\Core\Book\Parts;

use HiddenWire\Core\Book\BookInput;
use HiddenWire\Core\Book\Heading;
use HiddenWire\Core\Book\Part;
use HiddenWire\Core\Book\Table;
use HiddenWire\Core\Equipment\Dials\Dials;

/** Everything to dial in: each knob, switch and route that stands otherwise than when the unit is new. */
final class Settings implements Part
{
    public function key(): string
    {
        return 'settings';
    }

    public function title(): string
    {
        return 'Settings to dial in';
    }

    public function blocks(BookInput $of): array
    {
        $blocks = [];
        foreach ($of->rig->units as $unit) {
            $model = $of->rig->modelOf($unit);
            $rows = [];
            foreach ($unit->points as $id => $set) {
                $point = $model->points[$id];
                foreach (Dials::of($model, $point) as $kind) {
                    $value = $set->of($kind);
                    if ($value !== null) {
                        $rows[] = [$point->label, $kind->name(), $kind->words($value)];
                    }
                }
            }
            foreach ($unit->values as $id => $value) {
                $setting = $model->settings[$id];
                $rows[] = [$setting->label, 'setting', $setting->words($value)];
            }
            foreach ($unit->routes as $key => $set) {
                $route = $model->routes[$key];
                $rows[] = ["{$model->points[$route->from]->label} → {$model->points[$route->to]->label}", 'route', $set->words()];
            }
            if ($rows !== []) {
                $blocks[] = new Heading($unit->name);
                $blocks[] = new Table(['Where', 'What', 'Set to'], $rows, [2, 1, 2]);
            }
        }

        return $blocks;
    }
}

<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig\Rules;

use HiddenWire\Core\Rig\Problem;

/** A unit is set as its model can be, and names points that it has. */
final class UnitSettingRule implements Rule
{
    public function reads(): array
    {
        return ['units', 'models'];
    }

    public function check(Fit $in): void
    {
        foreach ($in->units() as $i => [$unit, $model]) {
            foreach ($unit->points as $id => $settings) {
                Settled::point($in, $model, (string) $id, $settings, "/units/{$i}/settings/points/".Problem::token((string) $id));
            }
            foreach ($unit->routes as $key => $settings) {
                Settled::route($in, $model, (string) $key, $settings, "/units/{$i}/settings/routes/".Problem::token((string) $key));
            }
            foreach (array_keys($unit->names) as $point) {
                if (! isset($model->points[$point])) {
                    $in->problem(
                        "/units/{$i}/names/".Problem::token((string) $point),
                        "The model \"{$model->id}\" has no point \"{$point}\".",
                    );
                }
            }
            foreach ($unit->values as $id => $value) {
                Settled::named($in, $model, (string) $id, $value, "/units/{$i}/settings/values/".Problem::token((string) $id));
            }
        }
    }
}

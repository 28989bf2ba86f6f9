<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig\Rules;

use HiddenWire\Core\Equipment\EquipmentModel;
use HiddenWire\Core\Rig\Problem;
use HiddenWire\Core\Rig\Unit;

/** Of an exclusive group one choice at most is on. */
final class GroupRule implements Rule
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

    /** At most one route of an exclusive group stays on once the unit's settings are applied; switching one on switches the others off. */
    private function ofUnit(Fit $in, Unit $unit, EquipmentModel $model, int $i): void
    {
        $on = [];
        foreach ($unit->routes as $key => $settings) {
            $route = $model->routes[$key] ?? null;
            if ($route?->group === null || $settings->on !== true) {
                continue;
            }
            $other = $on[$route->group] ?? $route;
            if ($other->choice() !== $route->choice()) {
                $in->problem(
                    "/units/{$i}/settings/routes/".Problem::token((string) $key).'/on',
                    "Only one choice of the group \"{$route->group}\" is on at a time; \"{$other->key()}\" is on too.",
                );
            }
            $on[$route->group] = $route;
        }
    }
}

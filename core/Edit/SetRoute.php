<?php

declare(strict_types=1);

namespace HiddenWire\Core\Edit;

use HiddenWire\Core\Equipment\EquipmentModel;
use HiddenWire\Core\Rig\Change;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\RouteRef;
use HiddenWire\Core\Rig\RouteSettings;

/** Sets a route: for good, or as what a situation changes. */
final readonly class SetRoute implements RigEdit
{
    public function __construct(public RouteRef $at, public RouteSettings $set, public ?string $situation = null)
    {
    }

    public function applyTo(Rig $rig): Rig
    {
        return $this->situation === null
            ? Settings::ofUnit($rig, $this->at->unit, fn ($unit) => $unit->with(routes: $this->switched($rig, $unit->routes)))
            : Settings::ofSituation($rig, $this->situation, new Change($this->at, $this->set));
    }

    /**
     * Of an exclusive group one route is on: the settings of the others that say so go.
     *
     * @param  array<string, RouteSettings>  $routes
     * @return array<string, RouteSettings>
     */
    private function switched(Rig $rig, array $routes): array
    {
        $model = $rig->modelOf($this->at->unit);
        $group = ($model->routes[$this->at->key] ?? null)?->group;
        foreach ($this->set->on === true && $group !== null ? $routes : [] as $key => $settings) {
            if ($key !== $this->at->key && $model->routes[$key]->group === $group && $settings->on === true) {
                unset($routes[$key]);
            }
        }
        $routes[$this->at->key] = ($routes[$this->at->key] ?? new RouteSettings)->under($this->set);
        // Switched off is off: the group's usual route does not come on instead.
        foreach ($this->set->on === false && $group !== null && ! $this->isSelected(
            $routes,
            $model,
            $group,
        ) ? $model->routes : [] as $key => $route) {
            if ($route->group === $group && $route->on && (string) $key !== $this->at->key) {
                $routes[$key] = ($routes[$key] ?? new RouteSettings)->under(new RouteSettings(on: false));
            }
        }

        return $routes;
    }

    /** @param  array<string, RouteSettings>  $routes */
    private function isSelected(array $routes, EquipmentModel $model, string $group): bool
    {
        foreach ($routes as $key => $settings) {
            if ($model->routes[$key]->group === $group && $settings->on === true) {
                return true;
            }
        }

        return false;
    }

    public function words(Rig $rig): string
    {
        $unit = $rig->units[$this->at->unit];
        $model = $rig->modelOf($unit);
        $route = $model->routes[$this->at->key];

        return "{$unit->name}: {$model->points[$route->from]->label} → {$model->points[$route->to]->label} ".$this->set->words().Settings::where($rig, $this->situation);
    }
}

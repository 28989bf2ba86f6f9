<?php

declare(strict_types=1);

namespace HiddenWire\Core\Edit;

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
     * Of an exclusive group one choice is on: what says otherwise of the group's other routes goes.
     *
     * @param  array<string, RouteSettings>  $routes
     * @return array<string, RouteSettings>
     */
    private function switched(Rig $rig, array $routes): array
    {
        $model = $rig->modelOf($this->at->unit);
        $route = $model->routes[$this->at->key] ?? null;
        $isOf = fn (string $key): bool => $route?->group !== null && $key !== $this->at->key
            && $model->routes[$key]->group === $route->group;
        foreach ($this->set->on === null ? [] : $routes as $key => $settings) {
            if ($isOf((string) $key) && $settings->on === true
                && ($model->routes[$key]->choice() === $route?->choice()) !== $this->set->on) {
                $rest = $settings->with(on: null);
                unset($routes[$key]);
                $routes += $rest->isEmpty() ? [] : [$key => $rest];
            }
        }
        $routes[$this->at->key] = ($routes[$this->at->key] ?? new RouteSettings)->under($this->set);
        // Switched off is off: the group's usual choice does not come on instead.
        $isSelected = array_filter($routes, fn (RouteSettings $one, string $key) => $isOf($key) && $one->on === true,
            ARRAY_FILTER_USE_BOTH) !== [];
        foreach ($this->set->on === false && ! $isSelected ? $model->routes : [] as $key => $other) {
            if ($isOf((string) $key) && $other->on) {
                $routes[$key] = ($routes[$key] ?? new RouteSettings)->under(new RouteSettings(on: false));
            }
        }

        return $routes;
    }

    public function words(Rig $rig): string
    {
        $unit = $rig->units[$this->at->unit];
        $model = $rig->modelOf($unit);
        $route = $model->routes[$this->at->key];

        return "{$unit->name}: {$model->points[$route->from]->label} → {$model->points[$route->to]->label} ".$this->set->words()
            .Settings::where($rig, $this->situation);
    }
}

<?php

declare(strict_types=1);

namespace HiddenWire\Core\Edit;

use HiddenWire\Core\Quantity\Bounds;
use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Rig\Change;
use HiddenWire\Core\Rig\Names;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\RouteRef;
use HiddenWire\Core\Rig\RouteSettings;
use HiddenWire\Core\Rig\State;
use HiddenWire\Core\Rig\Unit;

/** Sets a route: for good, or as what a situation changes. */
final readonly class SetRoute implements RigEdit
{
    public function __construct(public RouteRef $at, public RouteSettings $set, public ?string $situation = null)
    {
    }

    public function applyTo(Rig $rig): Rig
    {
        $changes = $this->changes($rig);
        if ($this->situation !== null) {
            return Settings::ofSituation($rig, $this->situation, ...$changes);
        }

        return Settings::ofUnit($rig, $this->at->unit, function (Unit $unit) use ($rig, $changes): Unit {
            $routes = $unit->routes;
            foreach (array_slice($changes, 0, -1) as $one) {
                $routes = self::levelled($routes, $one);
            }

            return $unit->with(routes: $this->switched($rig, $routes));
        });
    }

    /** @return non-empty-list<Change> what is linked moves in the same step, before the route itself: one rig, however many levels */
    public function changes(Rig $rig): array
    {
        $changes = [];
        foreach ($this->along($rig) as $key => $db) {
            $changes[] = new Change(new RouteRef($this->at->unit, $key), new RouteSettings(db: $db));
        }

        return [...$changes, new Change($this->at, $this->set)];
    }

    /**
     * @param  array<string, RouteSettings>  $routes
     * @return array<string, RouteSettings> with a level on top of what is set there
     */
    private static function levelled(array $routes, Change $change): array
    {
        assert($change->at instanceof RouteRef && $change->set instanceof RouteSettings);
        $routes[$change->at->key] = ($routes[$change->at->key] ?? new RouteSettings)->under($change->set);

        return $routes;
    }

    /** @return array<string, Decibels> where the levels go that are linked with this one, by route key */
    private function along(Rig $rig): array
    {
        $along = [];
        $to = $this->set->db;
        if ($to === null) {
            return [];
        }
        foreach ($rig->units[$this->at->unit]->linked as $keys) {
            if (! in_array($this->at->key, $keys, true)) {
                continue;
            }
            $state = new State($rig, $rig->situation($this->situation) ?? $rig->base());
            $routes = $rig->modelOf($this->at->unit)->routes;
            $moved = $to->value() - $state->route($this->at->unit, $routes[$this->at->key])->db->value();
            foreach (array_diff($keys, [$this->at->key]) as $key) {
                $db = $state->route($this->at->unit, $routes[$key])->db->value() + $moved;
                $to = Decibels::of(round(max(-Bounds::DB, min(Bounds::DB, $db)), 2));
                $along[$key] = $routes[$key]->level?->nearest($to) ?? $to;
            }
        }

        return $along;
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
            if (! $isOf((string) $key) || $settings->on === null) {
                continue;
            }
            // Switched on, another choice is off, and this one is on as a whole; switched off, it is off as a whole.
            $isAlike = $model->routes[$key]->choice() === $route?->choice();
            if ($this->set->on ? $settings->on !== $isAlike : $settings->on && $isAlike) {
                $rest = $settings->with(on: null);
                unset($routes[$key]);
                $routes += $rest->isEmpty() ? [] : [$key => $rest];
            }
        }
        $routes[$this->at->key] = ($routes[$this->at->key] ?? new RouteSettings)->under($this->set);
        // Switched off is off: the group's usual choice does not come on instead.
        $isSelected = array_filter(
            $routes,
            fn (RouteSettings $one, string $key) => $isOf($key) && $one->on === true,
            ARRAY_FILTER_USE_BOTH,
        ) !== [];
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
        $along = [];
        foreach ($this->along($rig) as $key => $db) {
            $along[] = (new Names($rig))->route(new RouteRef($this->at->unit, $key))." at {$db->text()} dB";
        }

        return "{$unit->name}: {$model->points[$route->from]->label} → {$model->points[$route->to]->label} ".$this->set->words()
            .($along === [] ? '' : ', and with it '.implode(', ', $along)).Settings::where($rig, $this->situation);
    }
}

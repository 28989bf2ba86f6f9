<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig;

use HiddenWire\Core\Equipment\Controls\ControlKind;
use HiddenWire\Core\Equipment\Point;
use HiddenWire\Core\Equipment\Route;
use HiddenWire\Core\Equipment\Setting;
use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Quantity\Milliseconds;

/**
 * How everything stands in one situation: what the model has when new, the unit's settings on top, the situation's changes on top of those.
 * Switching on a route of an exclusive group switches the group's other choices off; routes of one choice are on and off together.
 */
final readonly class State
{
    /** @var array<string, array<string, PointSettings>> by unit, by point */
    private array $points;

    /** @var array<string, array<string, RouteSettings>> by unit, by route key */
    private array $routes;

    /** @var array<string, Pick> by `unit/point` */
    private array $picks;

    /** @var array<string, array<string, string>> the choice that a setting switched on, by unit, by group; empty where none is on */
    private array $selected;

    /** @var array<string, array<string, string|bool|float>> values of named settings that somebody has set, by unit */
    private array $values;

    /** @var array<string, array<string, bool>> points that a setting mutes, or opens, by unit */
    private array $mutedBySetting;

    public function __construct(public Rig $rig, public Situation $situation)
    {
        $points = [];
        $routes = [];
        $selected = [];
        foreach ($rig->units as $unit) {
            $points[$unit->id] = $unit->points;
            $routes[$unit->id] = $unit->routes;
            foreach ($unit->routes as $key => $settings) {
                $this->select($selected, $unit->id, (string) $key, $settings);
            }
        }
        $values = $this->valuesIn($situation);
        $picks = $rig->picks;
        foreach ($situation->changes as $change) {
            $unit = $change->at->unit;
            if ($change->set instanceof Pick) {
                $picks[(string) $change->at] = $change->set;
            } elseif ($change->set instanceof PointSettings && $change->at instanceof PointRef) {
                $points[$unit][$change->at->point] = ($points[$unit][$change->at->point] ?? new PointSettings)->under($change->set);
            } elseif ($change->set instanceof RouteSettings && $change->at instanceof RouteRef) {
                $routes[$unit][$change->at->key] = ($routes[$unit][$change->at->key] ?? new RouteSettings)->under($change->set);
                $this->select($selected, $change->at->unit, $change->at->key, $change->set);
            }
        }
        $muted = [];
        foreach ($values as $unit => $set) {
            $model = $rig->modelOf((string) $unit);
            foreach ($set as $id => $value) {
                foreach ($model->settings[$id]->effectsAt($value) as $effect) {
                    if ($effect->point !== null) {
                        $muted[$unit][$effect->point] = ! $effect->on;
                    } elseif ($effect->route !== null) {
                        $switched = new RouteSettings(on: $effect->on);
                        $routes[$unit][$effect->route] = ($routes[$unit][$effect->route] ?? new RouteSettings)->under($switched);
                        $this->select($selected, (string) $unit, $effect->route, $switched);
                    }
                }
            }
        }
        $this->values = $values;
        $this->mutedBySetting = $muted;
        $this->points = $points;
        $this->routes = $routes;
        $this->picks = $picks;
        $this->selected = $selected;
    }

    public function gain(string $unit, Point $point): Decibels
    {
        return $this->set($unit, $point)->gain ?? $point->gain->db ?? Decibels::zero();
    }

    public function fader(string $unit, Point $point): Decibels
    {
        return $this->set($unit, $point)->fader ?? $point->fader->db ?? Decibels::zero();
    }

    public function isMuted(string $unit, Point $point): bool
    {
        return ($this->mutedBySetting[$unit][$point->id] ?? false) || ($this->set($unit, $point)->mute ?? $point->mute ?? false)
            || ($point->mute !== null && $this->autoMutedBy($unit, $point) !== null);
    }

    /** The open point for which a rule of the unit keeps a point mute; null where none does. */
    public function autoMutedBy(string $unit, Point $point): ?Point
    {
        $model = $this->rig->modelOf($unit);
        foreach ($model->autoMutes as $rule) {
            $isInForce = $rule->mutes === $point->id && ($this->set($unit, $point)->autoMute ?? true);
            foreach ($isInForce ? $rule->whileOpen : [] as $id) {
                $open = $model->points[$id];
                if (! ($this->set($unit, $open)->mute ?? $open->mute ?? false)
                    && ! ($open->fader?->isShutAt($this->fader($unit, $open)) ?? false)) {
                    return $open;
                }
            }
        }

        return null;
    }

    public function isMono(string $unit, Point $point): bool
    {
        return $this->set($unit, $point)->mono ?? $point->mono ?? false;
    }

    /** How long the point holds its sound back. */
    public function delay(string $unit, Point $point): Milliseconds
    {
        return $this->set($unit, $point)->delay ?? Milliseconds::zero();
    }

    /** Where one of a point's controls stands. */
    public function of(string $unit, Point $point, ControlKind $kind): Decibels|Milliseconds|bool
    {
        return $this->set($unit, $point)?->of($kind) ?? $kind->usual($point);
    }

    /** The route as it stands: on or off, its gain, where it is tapped. */
    public function route(string $unit, Route $route): Route
    {
        if ($this->routes[$unit] === []) {
            return $route;
        }
        $set = $this->routes[$unit][$route->key()] ?? null;
        $on = $set->on ?? $route->on;
        if ($route->group !== null) {
            $selected = $this->selected[$unit][$route->group] ?? null;
            $on = $selected === null ? $on : $selected === $route->choice();
        }
        if ($set === null && $on === $route->on) {
            return $route;
        }

        return $route->with(on: $on, db: $set->db ?? $route->db, tap: $set->tap ?? $route->tap);
    }

    public function pick(string $unit, string $point): ?Pick
    {
        return $this->picks["{$unit}/{$point}"] ?? null;
    }

    /** Where a named setting stands: as the situation says, else the unit, else as it comes. */
    public function value(string $unit, Setting $setting): string|bool|float
    {
        return $this->values[$unit][$setting->id] ?? $setting->factory;
    }

    /** The named setting that mutes a point; null where none does. */
    public function mutedBySetting(string $unit, string $point): ?Setting
    {
        foreach (($this->mutedBySetting[$unit][$point] ?? false) ? $this->rig->modelOf($unit)->settings : [] as $setting) {
            foreach ($setting->effectsAt($this->value($unit, $setting)) as $effect) {
                if ($effect->point === $point && ! $effect->on) {
                    return $setting;
                }
            }
        }

        return null;
    }

    /** @return array<string, array<string, string|bool|float>> by unit */
    private function valuesIn(Situation $situation): array
    {
        $values = [];
        foreach ($this->rig->units as $unit) {
            if ($unit->values !== []) {
                $values[$unit->id] = $unit->values;
            }
        }
        foreach ($situation->settings as $set) {
            $values[$set->unit][$set->setting] = $set->value;
        }

        return $values;
    }

    private function set(string $unit, Point $point): ?PointSettings
    {
        return $this->points[$unit][$point->id] ?? null;
    }

    /** @param  array<string, array<string, string>>  $selected */
    private function select(array &$selected, string $unit, string $key, RouteSettings $settings): void
    {
        $route = $this->rig->modelOf($unit)->routes[$key];
        $group = $route->group;
        if ($group !== null && $settings->on === true) {
            $selected[$unit][$group] = $route->choice();
        } elseif ($group !== null && $settings->on === false
            && ($selected[$unit][$group] ?? $this->usual($unit, $group)) === $route->choice()) {
            // Switched off by hand: nothing of the group is selected now.
            $selected[$unit][$group] = '';
        }
    }

    /** What a group is switched to when the unit is new. */
    private function usual(string $unit, string $group): ?string
    {
        foreach ($this->rig->modelOf($unit)->routes as $route) {
            if ($route->group === $group && $route->on) {
                return $route->choice();
            }
        }

        return null;
    }
}

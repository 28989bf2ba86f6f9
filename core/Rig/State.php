<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig;

use HiddenWire\Core\Equipment\Condition;
use HiddenWire\Core\Equipment\Dials\DialKind;
use HiddenWire\Core\Equipment\Point;
use HiddenWire\Core\Equipment\Route;
use HiddenWire\Core\Equipment\Rule;
use HiddenWire\Core\Equipment\Setting;
use HiddenWire\Core\Equipment\Standing;
use HiddenWire\Core\Equipment\Tap;
use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Quantity\Milliseconds;

/**
 * The state of everything in one situation: the model's factory settings, the unit's settings on top, then the situation's changes.
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

    /** @var array<string, array<string, array<string, Point>>> points that are soloed, by unit, by the bus that they take over */
    private array $soloed;

    /** @var array<string, array<string, Rule>> the rule that switches a route now, by unit, by route key */
    private array $ruled;

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
        foreach ($picks as $key => $pick) {
            // What can be chosen nowhere follows the system.
            if ($pick->device !== null && $rig->pickedIn($pick->at) === null) {
                $picks[$key] = $pick->with(device: null, default: SystemDefault::System, channels: null, tap: null, also: []);
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
        $this->soloed = $this->soloing();
        $this->ruled = $this->rulesInForce();
    }

    /** @return array<string, array<string, array<string, Point>>> */
    private function soloing(): array
    {
        $soloed = [];
        foreach ($this->points as $unit => $points) {
            foreach ($points as $id => $set) {
                $point = $set->solo === true ? $this->rig->modelOf((string) $unit)->points[$id] : null;
                if ($point?->solo !== null) {
                    $soloed[$unit][$point->solo][$point->id] = $point;
                }
            }
        }

        return $soloed;
    }

    /** @return array<string, array<string, Rule>> */
    private function rulesInForce(): array
    {
        $ruled = [];
        foreach ($this->rig->units as $unit) {
            $model = $this->rig->modelOf($unit);
            foreach ($model->rules as $rule) {
                $holding = array_filter($rule->when, fn (Condition $one) => $this->holds($unit->id, $model->points[$one->point], $one->is));
                if ($rule->isAny ? $holding !== [] : count($holding) === count($rule->when)) {
                    foreach (array_keys($rule->routes) as $key) {
                        $ruled[$unit->id][$key] = $rule;
                    }
                }
            }
        }

        return $ruled;
    }

    /** Whether a point has this state now. */
    public function holds(string $unit, Point $point, Standing $is): bool
    {
        return match ($is) {
            Standing::Muted => $this->isMuted($unit, $point),
            Standing::Soloed => $this->set($unit, $point)->solo ?? false,
            Standing::Open => ! $this->isMuted($unit, $point)
                && ! ($point->fader?->isShutAt($this->fader($unit, $point)) ?? false),
        };
    }

    /** @return array<string, Point> points that have taken over a bus by their solo switches; none where nothing is soloed */
    public function soloedOver(string $unit, string $bus): array
    {
        return $this->soloed[$unit][$bus] ?? [];
    }

    /** The rule of its unit that switches a route now; null where none does. */
    public function ruleOf(string $unit, string $route): ?Rule
    {
        return $this->ruled[$unit][$route] ?? null;
    }

    /** Whether a rule of a unit is in force. */
    public function isInForce(string $unit, Rule $rule): bool
    {
        return in_array($rule, $this->ruled[$unit] ?? [], true);
    }

    public function gain(string $unit, Point $point): Decibels
    {
        return $this->set($unit, $point)->gain ?? $point->gain->db ?? Decibels::zero();
    }

    public function fader(string $unit, Point $point): Decibels
    {
        $follows = $this->rig->units[$unit]->follows[$point->id] ?? null;
        if ($follows?->withFader === true && $point->fader !== null) {
            $leader = $this->rig->modelOf($unit)->points[$follows->of];
            if ($leader->fader !== null) {
                return $point->fader->nearest($this->fader($unit, $leader));
            }
        }

        return $this->set($unit, $point)->fader ?? $point->fader->db ?? Decibels::zero();
    }

    /** What a route adds now behind the gain of its start: its own level, and the start's fader where it is tapped behind it. */
    public function sendTotal(string $unit, Route $now): Decibels
    {
        return $now->tap === Tap::PostFader
            ? $this->fader($unit, $this->rig->modelOf($unit)->points[$now->from])->plus($now->db)
            : $now->db;
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

    /**
     * The effects that a point has on, in their order.
     *
     * @param  string|null  $into  the point into which it goes: without those that are off for it; null for all
     * @return list<Effect>
     */
    public function effects(string $unit, string $point, ?string $into = null): array
    {
        $on = [];
        foreach ($this->rig->units[$unit]->effects as $effect) {
            if ($effect->at !== $point) {
                continue;
            }
            $isOn = $effect->on;
            foreach ($this->situation->effects as $switch) {
                $isOn = $switch->unit === $unit && $switch->effect === $effect->id ? $switch->on : $isOn;
            }
            if ($isOn && ($into === null || ! in_array($into, $effect->offFor, true))) {
                $on[] = $effect;
            }
        }

        return $on;
    }

    /** The scene that a program shows; null where it has none. */
    public function scene(string $unit): ?Scene
    {
        $program = $this->rig->units[$unit];
        foreach ($this->situation->scenes as $choice) {
            if ($choice->unit === $unit) {
                return $program->scene($choice->scene);
            }
        }

        return $program->scenes[0] ?? null;
    }

    /** Whether a point is silent because it is not in the scene that its program shows. */
    public function isOutOfScene(string $unit, Point $point): bool
    {
        $program = $this->rig->units[$unit];
        if (! $point->inScenes || $program->scenes === [] || in_array($point->id, $program->always, true)) {
            return false;
        }

        $scene = $this->scene($unit);

        return $scene === null || ! $program->soundsIn($scene, $point->id);
    }

    /** How long the point holds its sound back. */
    public function delay(string $unit, Point $point): Milliseconds
    {
        return $this->set($unit, $point)->delay ?? Milliseconds::zero();
    }

    /** The value of one of a point's controls. */
    public function of(string $unit, Point $point, DialKind $kind): Decibels|Milliseconds|bool
    {
        return $this->set($unit, $point)?->of($kind) ?? $kind->usual($point);
    }

    /** A route's current state: on or off, its gain, where it is tapped; by what is set, what it follows, its unit's rules and solo. */
    public function route(string $unit, Route $route): Route
    {
        $follows = $this->rig->units[$unit]->follows[$route->to] ?? null;
        $leader = $follows === null || in_array($route->from, $follows->except, true)
            ? null
            : $this->rig->modelOf($unit)->routes["{$route->from}>{$follows->of}"] ?? null;
        $now = $this->asSet($unit, $leader ?? $route);
        if ($leader !== null) {
            $points = $this->rig->modelOf($unit)->points;
            // Of an output as wide it gets the same channels, too.
            $map = $points[$leader->to]->channels === $points[$route->to]->channels ? $leader->map : $route->map;
            $now = $route->with(on: $now->on, db: $now->db, tap: $now->tap, map: $map);
        }
        $rule = $this->ruled[$unit][$route->key()] ?? null;
        if ($rule !== null && $rule->routes[$route->key()] !== $now->on) {
            $now = $now->with(on: ! $now->on);
        }
        $soloed = $this->soloed[$unit][$route->to] ?? [];

        return $soloed === []
            ? $now
            : $now->with(
                on: isset($soloed[$route->from]),
                tap: isset($soloed[$route->from]) ? $this->soloTap($unit, $soloed[$route->from]) : $now->tap,
            );
    }

    /** Where a soloed point is taken: as a named setting says (before or after the faders), else as the model does. */
    private function soloTap(string $unit, Point $point): Tap
    {
        $tap = $point->soloTap;
        foreach ($this->rig->modelOf($unit)->settings as $setting) {
            foreach ($setting->effectsAt($this->value($unit, $setting)) as $effect) {
                $tap = $effect->soloTap ?? $tap;
            }
        }

        return $tap;
    }

    /** The route as it is set by hand and by named settings, without what it follows, its unit's rules and solo. */
    public function asSet(string $unit, Route $route): Route
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

    /** The value of a named setting: the situation's, else the unit's, else the factory setting. */
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

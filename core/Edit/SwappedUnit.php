<?php

declare(strict_types=1);

namespace HiddenWire\Core\Edit;

use HiddenWire\Core\Equipment\Dials\DialKind;
use HiddenWire\Core\Equipment\EquipmentModel;
use HiddenWire\Core\Equipment\Point;
use HiddenWire\Core\Equipment\RouteSetting;
use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Quantity\Milliseconds;
use HiddenWire\Core\Rig\Effect;
use HiddenWire\Core\Rig\Following;
use HiddenWire\Core\Rig\Picture;
use HiddenWire\Core\Rig\PointSettings;
use HiddenWire\Core\Rig\RouteSettings;
use HiddenWire\Core\Rig\Scene;
use HiddenWire\Core\Rig\Unit;

/** A unit after a change of model: its settings, names, links, effects and scenes, as far as the new model supports them. */
final class SwappedUnit
{
    /** @var list<string>|null */
    private ?array $keptEffects = null;

    public function __construct(
        private readonly Unit $unit,
        private readonly EquipmentModel $old,
        private readonly EquipmentModel $new,
        private readonly Counterparts $with,
        private readonly Losses $lost,
    ) {
    }

    public function unit(): Unit
    {
        $keepsSystem = $this->unit->system === null || $this->new->family->isHost();

        return $this->unit->with(
            model: $this->new->id,
            points: $this->points(),
            routes: $this->routes(),
            values: $this->values(),
            names: $this->names(),
            follows: $this->follows(),
            linked: $this->linked(),
            effects: $this->effects(),
            scenes: $this->scenes(),
            always: $this->sounding($this->unit->always, 'every scene'),
            pictures: $this->pictures(),
            system: $keepsSystem ? $this->unit->system : $this->lost->add('the operating system'),
        );
    }

    /** @return array<string, string|bool|float> the named settings that the new model has too, and takes */
    private function values(): array
    {
        $kept = [];
        foreach ($this->unit->values as $id => $value) {
            if (($this->new->settings[$id] ?? null)?->whyNot($value) === null && isset($this->new->settings[$id])) {
                $kept[$id] = $value;
            } else {
                $this->lost->add("the setting {$this->old->settings[$id]->label}");
            }
        }

        return $kept;
    }

    /** @return array<string, string> names of points that have a counterpart */
    private function names(): array
    {
        $names = [];
        foreach ($this->unit->names as $point => $name) {
            $to = $this->with->point((string) $point);
            if ($to === null || isset($names[$to->id])) {
                $this->lost->add("the name {$name}");
            } else {
                $names[$to->id] = $name;
            }
        }

        return $names;
    }

    /** @return list<Scene> */
    private function scenes(): array
    {
        return array_map(
            fn (Scene $scene) => $scene->with(
                sources: $this->sounding($scene->sources, "the scene {$scene->name}"),
                pictures: array_filter($this->new->points, fn (Point $point) => $point->inScenes) === [] ? [] : $scene->pictures,
            ),
            $this->unit->scenes,
        );
    }

    /** @return list<Picture> */
    private function pictures(): array
    {
        if (array_filter($this->new->points, fn (Point $point) => $point->inScenes) === []) {
            $this->unit->pictures === [] || $this->lost->add('the pictures');

            return [];
        }

        return array_map(function (Picture $picture): Picture {
            $sound = $picture->sound === null ? [] : $this->sounding([$picture->sound], "the picture {$picture->name}");

            return $picture->with(sound: $sound[0] ?? null, isTied: $picture->isTied && $sound !== []);
        }, $this->unit->pictures);
    }

    /**
     * @param  list<string>  $points
     * @return list<string> those that have a counterpart which is in scenes
     */
    private function sounding(array $points, string $where): array
    {
        $kept = [];
        foreach ($points as $id) {
            $point = $this->with->point($id);
            if ($point !== null && $point->inScenes && ! in_array($point->id, $kept, true)) {
                $kept[] = $point->id;
            } else {
                $this->lost->add("{$this->old->points[$id]->label} in {$where}");
            }
        }

        return $kept;
    }

    /** @return list<string> ids of the effects that stay */
    public function effectsKept(): array
    {
        return $this->keptEffects ??= array_map(fn (Effect $one) => $one->id, $this->effects());
    }

    /** @return array<string, Following> outputs that can follow their leader's counterpart too */
    private function follows(): array
    {
        $kept = [];
        foreach ($this->unit->follows as $id => $following) {
            [$point, $of] = [$this->with->point((string) $id), $this->with->point($following->of)];
            if ($point === null || $of === null || ! in_array($of->id, $point->canFollow, true)) {
                $this->lost->add("that {$this->old->points[$id]->label} follows {$this->old->points[$following->of]->label}");

                continue;
            }
            $except = [];
            foreach ($following->except as $from) {
                $there = $this->with->point($from);
                if ($there !== null && isset($this->new->routes["{$there->id}>{$point->id}"])) {
                    $except[] = $there->id;
                }
            }
            $kept[$point->id] = $following->with(of: $of->id, except: $except);
        }

        return array_diff_key($kept, array_flip(array_filter(
            array_keys($kept),
            fn (int|string $id) => isset($kept[$kept[$id]->of]),
        )));
    }

    /** @return list<Effect> those for which the new model has room */
    private function effects(): array
    {
        $kept = $counts = [];
        foreach ($this->unit->effects as $effect) {
            $point = $this->with->point($effect->at);
            $rack = $point?->effects;
            if ($point === null || $rack === null || ! $rack->takes($effect->kind) || ($counts[$point->id] ?? 0) >= $rack->most) {
                $this->lost->add("{$effect->label()} of {$this->old->points[$effect->at]->label}");

                continue;
            }
            $counts[$point->id] = ($counts[$point->id] ?? 0) + 1;
            $offFor = [];
            foreach ($effect->offFor as $into) {
                $there = $this->with->point($into);
                if ($rack->perMix && $there !== null && isset($this->new->routes["{$point->id}>{$there->id}"])) {
                    $offFor[] = $there->id;
                } else {
                    $this->lost->add("that {$effect->label()} is not for {$this->old->points[$into]->label}");
                }
            }
            $by = array_values(array_filter(array_map(fn (string $one) => $this->with->point($one)?->id, $effect->values->by ?? [])));
            if (count($by) < count($effect->values->by ?? [])) {
                $this->lost->add("what lowers {$this->old->points[$effect->at]->label}");
            }
            $kept[] = $effect->with(at: $point->id, offFor: $offFor, values: $effect->values?->with(by: $by));
        }

        return $kept;
    }

    /** @return list<list<string>> routes whose levels move together on the new model too */
    private function linked(): array
    {
        $linked = [];
        foreach ($this->unit->linked as $keys) {
            $kept = array_values(array_unique(array_filter(
                array_map($this->with->route(...), $keys),
                fn (?string $key) => $key !== null && $this->new->routes[$key]->allows(RouteSetting::Db),
            )));
            if (count($kept) < count($keys)) {
                $this->lost->add('a link of levels');
            }
            $linked = count($kept) < 2 ? $linked : [...$linked, $kept];
        }

        return $linked;
    }

    /** @return array<string, PointSettings> */
    private function points(): array
    {
        $points = [];
        foreach ($this->unit->points as $id => $set) {
            $label = $this->old->points[$id]->label;
            $to = $this->with->point((string) $id);
            $kept = $to === null ? null : $this->fitting($set, $to, $label);
            if ($to === null) {
                $this->lost->add("the settings of {$label}");
            } elseif ($kept !== null) {
                $points[$to->id] = $kept;
            }
        }

        return $points;
    }

    /** What of a point's settings another point has and reaches; null where nothing is left. */
    public function fitting(PointSettings $set, Point $to, string $label): ?PointSettings
    {
        $kept = $set->only(function (DialKind $kind, Decibels|Milliseconds|bool $value) use ($to, $label): bool {
            $fits = $kind->whyNot($value, $this->new, $to) === null;
            if (! $fits) {
                $this->lost->add("the {$kind->name()} of {$label}");
            }

            return $fits;
        });

        return $kept->isEmpty() ? null : $kept;
    }

    /** @return array<string, RouteSettings> */
    private function routes(): array
    {
        $routes = [];
        $on = [];
        foreach ($this->unit->routes as $key => $set) {
            $to = $this->with->route((string) $key);
            $kept = $to === null ? null : $this->fittingRoute($set, $to, (string) $key);
            $group = $to === null ? null : $this->new->routes[$to]->group;
            $choice = $to === null ? '' : $this->new->routes[$to]->choice();
            if ($to === null || ($kept?->on === true && $group !== null && ($on[$group] ?? $choice) !== $choice)) {
                $this->lost->add("the route {$this->routeName((string) $key)}");
            } elseif ($kept !== null) {
                $routes[$to] = $kept;
                $on += $group !== null && $kept->on === true ? [$group => $choice] : [];
            }
        }

        return $routes;
    }

    /** What of a route's settings the counterpart of the route takes; null where nothing is left. */
    public function fittingRoute(RouteSettings $set, string $to, string $key): ?RouteSettings
    {
        $route = $this->new->routes[$to];
        $asked = ['on' => $set->on, 'db' => $set->db, 'tap' => $set->tap];
        foreach ($asked as $what => $value) {
            if ($value !== null && ! $route->allows(RouteSetting::from($what))) {
                $asked[$what] = $this->lost->add("{$what} of {$this->routeName($key)}");
            }
        }
        if ($asked['db'] !== null && $route->whyNotAt($asked['db']) !== null) {
            $asked['db'] = $route->level?->nearest($asked['db']);
            $this->lost->add("level of {$this->routeName($key)}, which goes to {$asked['db']?->text()} dB");
        }
        $kept = new RouteSettings(...$asked);

        return $kept->isEmpty() ? null : $kept;
    }

    private function routeName(string $key): string
    {
        $route = $this->old->routes[$key];

        return "{$this->old->points[$route->from]->label} → {$this->old->points[$route->to]->label}";
    }
}

<?php

declare(strict_types=1);

namespace HiddenWire\Core\Edit;

use HiddenWire\Core\Equipment\Dials\DialKind;
use HiddenWire\Core\Equipment\EquipmentModel;
use HiddenWire\Core\Equipment\Lane;
use HiddenWire\Core\Equipment\Mating;
use HiddenWire\Core\Equipment\PickFrom;
use HiddenWire\Core\Equipment\Point;
use HiddenWire\Core\Equipment\RouteSetting;
use HiddenWire\Core\Equipment\Socket;
use HiddenWire\Core\Equipment\Takes;
use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Quantity\Milliseconds;
use HiddenWire\Core\Rig\AirPath;
use HiddenWire\Core\Rig\Cable;
use HiddenWire\Core\Rig\Change;
use HiddenWire\Core\Rig\Control;
use HiddenWire\Core\Rig\DeviceRef;
use HiddenWire\Core\Rig\DeviceSettings;
use HiddenWire\Core\Rig\Effect;
use HiddenWire\Core\Rig\EffectSwitch;
use HiddenWire\Core\Rig\Following;
use HiddenWire\Core\Rig\Hands;
use HiddenWire\Core\Rig\Listener;
use HiddenWire\Core\Rig\Move;
use HiddenWire\Core\Rig\Naming;
use HiddenWire\Core\Rig\Origin;
use HiddenWire\Core\Rig\Pick;
use HiddenWire\Core\Rig\Picture;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\PointSettings;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\RouteRef;
use HiddenWire\Core\Rig\RouteSettings;
use HiddenWire\Core\Rig\Scene;
use HiddenWire\Core\Rig\SettingValue;
use HiddenWire\Core\Rig\Situation;
use HiddenWire\Core\Rig\SituationDefault;
use HiddenWire\Core\Rig\SituationRef;
use HiddenWire\Core\Rig\SocketRef;
use HiddenWire\Core\Rig\Source;
use HiddenWire\Core\Rig\SystemLevel;
use HiddenWire\Core\Rig\Unit;

/**
 * The rig with a unit of another model in a unit's stead, and what did not fit. A socket's counterpart is the one of the same id, else of
 * the same label, else the first free one that the same cable fits; a point's is the one of the same id or label and kind, else the point
 * behind the counterpart of its socket.
 */
final class Swap
{
    public readonly Rig $rig;

    /** @var list<string> in words */
    public readonly array $losses;

    private readonly EquipmentModel $old;

    private readonly EquipmentModel $new;

    /** @var array<string, string> new socket by old, of those in use */
    private array $sockets = [];

    /** @var array<string, Point|null> new point by old, of those asked for */
    private array $points = [];

    /** @var array<string, DeviceRef|null> new device by old, of those asked for */
    private array $devices = [];

    /** @var list<string> */
    private array $lost = [];

    /** @var list<string>|null */
    private ?array $keptEffects = null;

    public function __construct(private readonly Rig $before, private readonly Unit $unit, EquipmentModel $model)
    {
        $this->old = $before->modelOf($unit);
        // The rig may have a model of this id that is another: both stay, under ids of their own.
        $model = $model->unnamed();
        $held = $before->models[$model->id] ?? $model;
        $this->new = $held == $model ? $model : $model->with(id: Naming::id($model->id, array_keys($before->models)));
        $this->rig = $this->swapped();
        foreach (count($before->papers->reasons) === count($this->rig->papers->reasons) ? [] : $before->papers->reasons as $reason) {
            if ($this->rig->papers->reasonFor($reason->about) === null) {
                $this->lose("the reason for {$reason->about->words($before)}");
            }
        }
        $this->losses = array_values(array_unique($this->lost));
    }

    private function swapped(): Rig
    {
        $parts = $this->before->parts();
        $cables = array_values(array_filter(array_map($this->cable(...), $parts->cables)));
        $keepsSystem = $this->unit->system === null || $this->new->family->isHost();
        $unit = $this->unit->with(
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
            system: $keepsSystem ? $this->unit->system : $this->lose('the operating system'),
        );
        $models = $parts->models + [$this->new->id => $this->new];
        if (count(array_filter(
            $parts->units,
            fn (Unit $one) => $one->model === $this->old->id,
        )) === 1 && $this->old->id !== $this->new->id) {
            unset($models[$this->old->id]);
        }

        $kept = array_map(fn (Cable $cable) => $cable->id, $cables);
        $gone = array_values(array_diff(array_map(fn (Cable $cable) => $cable->id, $parts->cables), $kept));

        $swapped = $parts->changing('units', $unit->id, fn () => $unit)->with(
            models: $models,
            cables: $cables,
            devices: array_values(array_filter(array_map($this->deviceSettings(...), $parts->devices))),
            picks: array_values(array_filter(array_map($this->pick(...), $parts->picks))),
            air: array_values(array_filter(array_map($this->air(...), $parts->air))),
            sources: array_map(
                fn (Source $source) => $source->with(origins: array_values(array_filter(array_map($this->origin(...), $source->origins)))),
                $parts->sources,
            ),
            listeners: array_map(
                fn (Listener $listener) => $listener->with(at: array_values(array_filter(array_map(
                    fn (PointRef $at) => $this->point($at, "{$listener->name} listening"),
                    $listener->at,
                )))),
                $parts->listeners,
            ),
            situations: array_map(
                fn (Situation $situation) => $this->situation($situation)->without($gone),
                $parts->situations,
            ),
            controls: array_map(
                fn (Control $control) => $control->with(moves: array_values(array_filter(array_map(
                    fn (Move $move) => $this->move($control, $move),
                    $control->moves,
                )))),
                $parts->controls,
            ),
        );
        $held = Hands::held($swapped);
        foreach ($swapped->controls as $i => $control) {
            if ($held->controls[$i] !== $control) {
                $this->lose("what {$control->words()} moves while another one is held");
            }
        }

        return new Rig($held);
    }

    /** @return array<string, string|bool|float> the named settings that the new model has too, and takes */
    private function values(): array
    {
        $kept = [];
        foreach ($this->unit->values as $id => $value) {
            if (($this->new->settings[$id] ?? null)?->whyNot($value) === null && isset($this->new->settings[$id])) {
                $kept[$id] = $value;
            } else {
                $this->lose("the setting {$this->old->settings[$id]->label}");
            }
        }

        return $kept;
    }

    /** @return array<string, string> names of points that have a counterpart */
    private function names(): array
    {
        $names = [];
        foreach ($this->unit->names as $point => $name) {
            $to = $this->counterpoint((string) $point);
            if ($to === null || isset($names[$to->id])) {
                $this->lose("the name {$name}");
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
            $this->unit->pictures === [] || $this->lose('the pictures');

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
            $point = $this->counterpoint($id);
            if ($point !== null && $point->inScenes && ! in_array($point->id, $kept, true)) {
                $kept[] = $point->id;
            } else {
                $this->lose("{$this->old->points[$id]->label} in {$where}");
            }
        }

        return $kept;
    }

    /** @return list<string> ids of the effects that stay */
    private function effectsKept(): array
    {
        return $this->keptEffects ??= array_map(fn (Effect $one) => $one->id, $this->effects());
    }

    /** @return array<string, Following> outputs that can follow their leader's counterpart too */
    private function follows(): array
    {
        $kept = [];
        foreach ($this->unit->follows as $id => $following) {
            [$point, $of] = [$this->counterpoint((string) $id), $this->counterpoint($following->of)];
            if ($point === null || $of === null || ! in_array($of->id, $point->canFollow, true)) {
                $this->lose("that {$this->old->points[$id]->label} follows {$this->old->points[$following->of]->label}");

                continue;
            }
            $except = [];
            foreach ($following->except as $from) {
                $there = $this->counterpoint($from);
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
            $point = $this->counterpoint($effect->at);
            $rack = $point?->effects;
            if ($point === null || $rack === null || ! $rack->takes($effect->kind) || ($counts[$point->id] ?? 0) >= $rack->most) {
                $this->lose("{$effect->label()} of {$this->old->points[$effect->at]->label}");

                continue;
            }
            $counts[$point->id] = ($counts[$point->id] ?? 0) + 1;
            $offFor = [];
            foreach ($effect->offFor as $into) {
                $there = $this->counterpoint($into);
                if ($rack->perMix && $there !== null && isset($this->new->routes["{$point->id}>{$there->id}"])) {
                    $offFor[] = $there->id;
                } else {
                    $this->lose("that {$effect->label()} is not for {$this->old->points[$into]->label}");
                }
            }
            $by = array_values(array_filter(array_map(fn (string $one) => $this->counterpoint($one)?->id, $effect->values->by ?? [])));
            if (count($by) < count($effect->values->by ?? [])) {
                $this->lose("what lowers {$this->old->points[$effect->at]->label}");
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
                array_map($this->routeKey(...), $keys),
                fn (?string $key) => $key !== null && $this->new->routes[$key]->allows(RouteSetting::Db),
            )));
            if (count($kept) < count($keys)) {
                $this->lose('a link of levels');
            }
            $linked = count($kept) < 2 ? $linked : [...$linked, $kept];
        }

        return $linked;
    }

    private function cable(Cable $cable): ?Cable
    {
        foreach (['from' => $cable->to, 'to' => $cable->from] as $end => $other) {
            $here = $cable->{$end};
            if ($here->unit !== $this->unit->id) {
                continue;
            }
            $there = $other->unit === $this->unit->id ? null : $this->before->socket($other);
            $socket = $this->counterpart($here->socket, $there);
            if ($socket === null) {
                return $this->lose($cable->label);
            }
            $type = $there === null ? $cable->type : (Mating::cable($this->new->sockets[$socket], $there) ?? $cable->type);
            $isSameType = $there !== null && Mating::cable($this->old->sockets[$here->socket], $there) === $type;
            $cable = $cable->with(...[
                $end => new SocketRef($this->unit->id, $socket),
                'type' => $isSameType ? $cable->type : $type,
                'lanes' => null,
            ]);
        }

        return $cable;
    }

    private function counterpart(string $socket, ?Socket $there): ?string
    {
        if (isset($this->sockets[$socket])) {
            return $this->sockets[$socket];
        }
        $old = $this->old->sockets[$socket];
        $free = array_filter(
            $this->new->sockets,
            fn (Socket $one) => ! in_array($one->id, $this->sockets, true) && $this->takes($one, $old, $there),
        );
        $found = $free[$socket] ?? array_values(array_filter(
            $free,
            fn (Socket $one) => $one->label === $old->label,
        ))[0] ?? array_values($free)[0] ?? null;
        if ($found !== null) {
            $this->sockets[$socket] = $found->id;
        }

        return $found?->id;
    }

    /** Whether a socket can stand in for another: it takes what is plugged there, and the signal goes the same ways. */
    private function takes(Socket $new, Socket $old, ?Socket $there): bool
    {
        $ways = fn (Socket $socket): array => array_values(array_unique(array_map(fn (Lane $lane) => $lane->way->value, $socket->lanes)));

        return $new->link === $old->link && ($new->link !== null || array_intersect($ways($new), $ways($old)) !== [])
            && ($there === null ? $new->connector === $old->connector : Mating::cable($new, $there) !== null);
    }

    private function counterpoint(string $point): ?Point
    {
        return array_key_exists($point, $this->points) ? $this->points[$point] : $this->points[$point] = $this->alike($point);
    }

    private function alike(string $point): ?Point
    {
        $old = $this->old->points[$point];
        $isAlike = fn (Point $one): bool => $one->kind === $old->kind && $one->picks === $old->picks
            && $one->device?->direction === $old->device?->direction && ! in_array($one, $this->points, true);
        $same = $this->new->points[$point] ?? null;
        if ($same !== null && $isAlike($same)) {
            return $same;
        }
        foreach ($this->new->points as $one) {
            if ($one->label === $old->label && $isAlike($one)) {
                return $one;
            }
        }
        foreach ($this->sockets as $from => $to) {
            foreach ($this->old->sockets[$from]->lanes as $lane) {
                foreach ($this->new->sockets[$to]->lanes as $there) {
                    if ($lane->point === $point && $lane->way === $there->way && $isAlike($this->new->points[$there->point])) {
                        return $this->new->points[$there->point];
                    }
                }
            }
        }
        // The only one of its kind on both is the counterpart by whatever name: a microphone has one capsule.
        $ofKind = fn (EquipmentModel $model): array => array_values(array_filter(
            $model->points,
            fn (Point $one) => $one->kind === $old->kind,
        ));
        $only = count($ofKind($this->old)) === 1 && count($ofKind($this->new)) === 1 ? $ofKind($this->new)[0] : null;

        return $only !== null && $isAlike($only) ? $only : null;
    }

    /** @return array<string, PointSettings> */
    private function points(): array
    {
        $points = [];
        foreach ($this->unit->points as $id => $set) {
            $label = $this->old->points[$id]->label;
            $to = $this->counterpoint((string) $id);
            $kept = $to === null ? null : $this->fitting($set, $to, $label);
            if ($to === null) {
                $this->lose("the settings of {$label}");
            } elseif ($kept !== null) {
                $points[$to->id] = $kept;
            }
        }

        return $points;
    }

    /** What of a point's settings another point has and reaches; null where nothing is left. */
    private function fitting(PointSettings $set, Point $to, string $label): ?PointSettings
    {
        $kept = $set->only(function (DialKind $kind, Decibels|Milliseconds|bool $value) use ($to, $label): bool {
            $fits = $kind->whyNot($value, $this->new, $to) === null;
            if (! $fits) {
                $this->lose("the {$kind->name()} of {$label}");
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
            $to = $this->routeKey((string) $key);
            $kept = $to === null ? null : $this->fittingRoute($set, $to, (string) $key);
            $group = $to === null ? null : $this->new->routes[$to]->group;
            $choice = $to === null ? '' : $this->new->routes[$to]->choice();
            if ($to === null || ($kept?->on === true && $group !== null && ($on[$group] ?? $choice) !== $choice)) {
                $this->lose("the route {$this->routeName((string) $key)}");
            } elseif ($kept !== null) {
                $routes[$to] = $kept;
                $on += $group !== null && $kept->on === true ? [$group => $choice] : [];
            }
        }

        return $routes;
    }

    private function fittingRoute(RouteSettings $set, string $to, string $key): ?RouteSettings
    {
        $route = $this->new->routes[$to];
        $asked = ['on' => $set->on, 'db' => $set->db, 'tap' => $set->tap];
        foreach ($asked as $what => $value) {
            if ($value !== null && ! $route->allows(RouteSetting::from($what))) {
                $asked[$what] = $this->lose("{$what} of {$this->routeName($key)}");
            }
        }
        if ($asked['db'] !== null && $route->whyNotAt($asked['db']) !== null) {
            $asked['db'] = $route->level?->nearest($asked['db']);
            $this->lose("level of {$this->routeName($key)}, which goes to {$asked['db']?->text()} dB");
        }
        $kept = new RouteSettings(...$asked);

        return $kept->isEmpty() ? null : $kept;
    }

    private function routeKey(string $key): ?string
    {
        $route = $this->old->routes[$key];
        $from = $this->counterpoint($route->from)?->id;
        $to = $this->counterpoint($route->to)?->id;

        return $from !== null && $to !== null && isset($this->new->routes["{$from}>{$to}"]) ? "{$from}>{$to}" : null;
    }

    private function routeName(string $key): string
    {
        $route = $this->old->routes[$key];

        return "{$this->old->points[$route->from]->label} → {$this->old->points[$route->to]->label}";
    }

    private function deviceRef(DeviceRef $ref): ?DeviceRef
    {
        if ($ref->unit !== $this->unit->id) {
            return $ref;
        }

        return array_key_exists((string) $ref, $this->devices)
            ? $this->devices[(string) $ref]
            : $this->devices[(string) $ref] = $this->likeDevice($ref);
    }

    private function likeDevice(DeviceRef $ref): ?DeviceRef
    {
        if ($ref->lane === null) {
            $point = $this->counterpoint($ref->givenBy);

            return $point === null ? null : DeviceRef::point($this->unit->id, $point->id);
        }
        $old = $this->old->sockets[$ref->givenBy]->lanes[$ref->lane];
        $socket = $this->sockets[$ref->givenBy] ?? (isset($this->new->sockets[$ref->givenBy]) ? $ref->givenBy : null);
        $taken = array_map(strval(...), array_filter($this->devices));
        $lanes = $socket === null ? []
            : array_filter($this->new->sockets[$socket]->lanes, fn (Lane $lane) => $lane->device !== null
            && $lane->device->direction === $old->device?->direction
            && ! in_array("{$this->unit->id}/{$socket}/{$lane->id}", $taken, true));
        $lane = $lanes[$ref->lane] ?? array_values($lanes)[0] ?? null;

        return $socket === null || $lane === null ? null : DeviceRef::lane($this->unit->id, $socket, $lane->id);
    }

    private function deviceSettings(DeviceSettings $set): ?DeviceSettings
    {
        $ref = $this->deviceRef($set->device);
        $called = $set->name === '' ? (string) $set->device : $set->name;
        if ($ref === null || ($set->computer === $this->unit->id && ! $this->new->family->isHost())) {
            return $this->lose('the settings of the device '.$called);
        }

        $playsTo = $set->playsTo === null ? null : $this->deviceRef($set->playsTo);
        if ($set->playsTo !== null && $playsTo === null) {
            $this->lose('what the system plays '.$called.' to');
        }

        $takesLast = $set->computer === $this->unit->id && $this->new->takes === Takes::LastPlugged;
        if ($takesLast && $set->roles !== []) {
            $this->lose('the default '.$called);
        }

        return $set->with(device: $ref, playsTo: $playsTo, roles: $takesLast ? [] : $set->roles);
    }

    private function pick(Pick $pick): ?Pick
    {
        $at = $this->point($pick->at, 'a pick');
        $device = $pick->device === null ? null : $this->deviceRef($pick->device);
        if ($at === null) {
            return null;
        }
        if ($pick->device !== null && $device === null) {
            return $this->lose("the pick of {$this->before->units[$pick->at->unit]->name}: {$this->before->point($pick->at)->label}");
        }
        $isTooWide = $device?->unit === $this->unit->id && array_filter(
            $pick->channels ?? [],
            fn (int $channel) => $channel > $this->width($device),
        ) !== [];

        return $this->taken($pick->with(
            at: $at,
            device: $device,
            channels: $isTooWide ? $this->lose("the channels of {$this->before->point($pick->at)->label}") : $pick->channels,
            also: array_values(array_filter(array_map(
                fn (DeviceRef $also) => $this->deviceRef($also) ?? $this->lose('a further device of a pick'),
                $pick->also,
            ))),
        ));
    }

    /** A pick as the program takes it: with the device of another point, of what it offers, of as many devices. */
    private function taken(Pick $pick): ?Pick
    {
        $program = $this->before->units[$pick->at->unit];
        $point = $program->id === $this->unit->id ? $this->new->points[$pick->at->point] : $this->before->point($pick->at);
        $words = "the pick of {$program->name}: {$point->label}";
        if ($point->deviceOf !== null) {
            return $pick->channels === null
                ? $this->lose($words)
                : $pick->with(device: null, default: null, tap: null, also: []);
        }
        $from = $pick->device === null ? PickFrom::Defaults : $pick->device->pickFrom($pick->tap !== null);
        if (($pick->device === null && $pick->default === null) || ! $point->offers($from)) {
            return $this->lose($words);
        }
        if (count($pick->also) >= $point->several) {
            $pick->also === [] || $this->lose("further devices of {$point->label}");
            $pick = $pick->with(also: array_slice($pick->also, 0, $point->several - 1));
        }

        return $pick;
    }

    private function width(DeviceRef $ref): int
    {
        $lane = $ref->lane === null ? null : $this->new->sockets[$ref->givenBy]->lanes[$ref->lane];

        return $lane?->channels === null
            ? $this->new->points[$lane === null ? $ref->givenBy : $lane->point]->channels
            : count($lane->channels);
    }

    private function air(AirPath $path): ?AirPath
    {
        [$from, $to] = [$this->point($path->from, 'sound through the air'), $this->point($path->to, 'sound through the air')];

        return $from === null || $to === null ? null : new AirPath($from, $to, $path->db, $path->delay);
    }

    private function origin(Origin $origin): ?Origin
    {
        $at = $this->point($origin->at, "a sound beginning at {$this->before->point($origin->at)->label}");

        return $at === null ? null : $origin->with(at: $at);
    }

    private function point(PointRef $at, string $loss): ?PointRef
    {
        if ($at->unit !== $this->unit->id) {
            return $at;
        }
        $point = $this->counterpoint($at->point);

        return $point === null ? $this->lose($loss) : new PointRef($at->unit, $point->id);
    }

    private function situation(Situation $situation): Situation
    {
        return $situation->with(
            changes: array_values(array_filter(array_map(fn (Change $change) => $this->change($situation, $change), $situation->changes))),
            defaults: array_values(array_filter(array_map(function (SituationDefault $default) use ($situation): ?SituationDefault {
                $device = $this->deviceRef($default->device);
                $isLost = $device === null || ($default->computer === $this->unit->id
                    && (! $this->new->family->isHost() || $this->new->takes === Takes::LastPlugged));

                return $isLost ? $this->lose("{$default->what()} in {$situation->name}") : $default->with(device: $device);
            }, $situation->defaults))),
            effects: array_values(array_filter(
                $situation->effects,
                fn (EffectSwitch $one) => $one->unit !== $this->unit->id || in_array($one->effect, $this->effectsKept(), true),
            )),
            settings: array_values(array_filter($situation->settings, function (SettingValue $set) use ($situation): bool {
                $new = $this->new->settings[$set->setting] ?? null;
                if ($set->unit !== $this->unit->id || ($new !== null && $new->whyNot($set->value) === null)) {
                    return true;
                }
                $this->lose("the setting {$this->old->settings[$set->setting]->label} in {$situation->name}");

                return false;
            })),
            levels: array_values(array_filter(array_map(function (SystemLevel $level) use ($situation): ?SystemLevel {
                $device = $this->deviceRef($level->device);
                $isLost = $device === null || ($level->computer === $this->unit->id && ! $this->new->family->isHost());

                return $isLost ? $this->lose("the system's level of a device in {$situation->name}") : $level->with(device: $device);
            }, $situation->levels))),
        );
    }

    private function change(Situation $situation, Change $change): ?Change
    {
        if ($change->set instanceof Pick) {
            $pick = $this->pick($change->set);

            return $pick === null ? null : new Change($pick->at, $pick);
        }
        if ($change->at->unit !== $this->unit->id) {
            return $change;
        }
        $loss = "what {$situation->name} changes";
        if ($change->at instanceof RouteRef && $change->set instanceof RouteSettings) {
            $key = $this->routeKey($change->at->key);
            $kept = $key === null ? null : $this->fittingRoute($change->set, $key, $change->at->key);

            return $key === null || $kept === null ? $this->lose($loss) : new Change(new RouteRef($this->unit->id, $key), $kept);
        }
        $at = $change->at instanceof PointRef ? $this->counterpoint($change->at->point) : null;
        $kept = $at === null || ! $change->set instanceof PointSettings ? null : $this->fitting($change->set, $at, $at->label);

        return $at === null || $kept === null ? $this->lose($loss) : new Change(new PointRef($this->unit->id, $at->id), $kept);
    }

    private function move(Control $control, Move $move): ?Move
    {
        $at = $move->at;
        if ($at instanceof SituationRef || $at->unit !== $this->unit->id) {
            return $move;
        }
        $there = match (true) {
            $at instanceof PointRef => $this->counterpoint($at->point)?->id,
            $at instanceof RouteRef => $this->routeKey($at->key),
            default => $at->setting,
        };
        $moved = $there === null ? null : $move->with(at: new ($at::class)($at->unit, $there));

        return $moved?->whyNot($this->new) === null && $moved !== null ? $moved : $this->lose("what {$control->words()} moves");
    }

    private function lose(string $what): null
    {
        $this->lost[] = $what;

        return null;
    }
}

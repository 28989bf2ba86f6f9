<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig;

use HiddenWire\Core\Equipment\Controls\Controls;
use HiddenWire\Core\Equipment\DeviceOffer;
use HiddenWire\Core\Equipment\Direction;
use HiddenWire\Core\Equipment\EffectKind;
use HiddenWire\Core\Equipment\EquipmentModel;
use HiddenWire\Core\Equipment\Mating;
use HiddenWire\Core\Equipment\PickFrom;
use HiddenWire\Core\Equipment\Point;
use HiddenWire\Core\Equipment\PointKind;
use HiddenWire\Core\Equipment\RouteSetting;
use HiddenWire\Core\Equipment\Socket;
use HiddenWire\Core\Equipment\Standing;
use HiddenWire\Core\Equipment\Takes;
use HiddenWire\Core\Quantity\Count;
use HiddenWire\Core\Rig\Format\References;
use HiddenWire\Core\Rig\Format\Things\Units;

/**
 * Whether parts fit together: that every reference leads somewhere, that ids are unique, that a setting is one that the model has and
 * lies in its range, that of an exclusive group one route at most is on. Finds all offences, each with its pointer.
 */
final class Consistency
{
    private const BY_PLUG = 'This system takes what was plugged in last: say the order of the leads in a situation ("plugged").';

    /** Sources times listeners. */
    public const MOST_CELLS = 40_000;

    /** Pairs of channels that the routes of all units join. */
    public const MOST_LINKS = 400_000;

    /** @var list<Problem> */
    private array $problems = [];

    /** @var array<string, Unit> */
    private array $units = [];

    /** @var array<string, array<string, true>> known ids by collection, those of unreadable elements among them */
    private array $ids = [];

    /** @var array<string, true> units whose model can't be looked into, because they or their model were unreadable */
    private array $opaque = [];

    /**
     * @param  array<string, list<string>>  $unreadable  ids by collection (`places`, `models`, `units`, …) of elements that exist in the
     *                                                   document but could not be read: references to them are not held against it
     */
    public function __construct(private readonly RigParts $parts, private readonly array $unreadable = [])
    {
    }

    /** @return list<Problem> */
    public function problems(): array
    {
        $this->problems = [];
        foreach (['places', 'units', 'cables', 'sources', 'listeners', 'situations'] as $collection) {
            $this->uniqueIds($collection);
        }
        foreach ($this->parts->models as $id => $model) {
            $this->ids['models'][$id] = true;
            $this->model($model);
        }
        foreach ($this->unreadable as $collection => $ids) {
            foreach ($ids as $id) {
                $this->ids[$collection][$id] = true;
            }
        }
        foreach ($this->unreadable['units'] ?? [] as $id) {
            $this->opaque[$id] = true;
        }
        if ($this->parts->situations === [] && ($this->unreadable['situations'] ?? []) === []) {
            $this->problem('/situations', 'A rig has at least one situation; the first is its base state.');
        }

        $this->units();
        $this->cables();
        $this->devices();
        $this->picks();
        foreach ($this->parts->air as $i => $path) {
            $this->pointAt($path->from, "/air/{$i}/from");
            $this->pointAt($path->to, "/air/{$i}/to");
        }
        $this->sizes();
        $this->soundsAndListeners();
        $this->wishes();
        $this->situations();
        $this->papers();
        $this->balances();

        return $this->problems;
    }

    private function balances(): void
    {
        $seen = [];
        foreach ($this->parts->balances as $b => $balance) {
            foreach (['listener' => $balance->listener, 'like' => $balance->like] as $key => $id) {
                $this->known('listeners', $id, "/balances/{$b}/{$key}", 'listener');
            }
            if ($balance->listener === $balance->like) {
                $this->problem("/balances/{$b}/like", 'A balance is that of another listener.');
            }
            if (isset($seen[$balance->key()])) {
                $this->problem("/balances/{$b}", "/balances/{$seen[$balance->key()]} says this already.");
            }
            $seen[$balance->key()] = $b;
        }
    }

    private function papers(): void
    {
        $seen = $ids = $evidence = [];
        foreach ($this->parts->papers->reasons as $i => $reason) {
            $about = (string) $reason->about;
            if (isset($seen[$about])) {
                $this->problem("/reasons/{$i}/about", "There is a reason for this already: /reasons/{$seen[$about]}.");
            }
            $seen[$about] = $i;
            // What could not be read may be what it is about.
            if ($this->unreadable === [] && ! $reason->about->isIn($this->parts)) {
                $this->problem("/reasons/{$i}/about", "There is nothing at \"{$about}\".");
            }
        }
        foreach ($this->parts->papers->steps as $i => $step) {
            if (isset($ids[$step->id])) {
                $this->problem(
                    "/steps/{$i}/id",
                    "The id \"{$step->id}\" is taken by /steps/{$ids[$step->id]}; ids are unique among steps.",
                );
            }
            $ids[$step->id] = $i;
        }
        $facts = [];
        foreach ($this->parts->papers->facts as $i => $fact) {
            if (isset($facts[$fact->key()])) {
                $this->problem("/facts/{$i}", "There is a fact about this already: /facts/{$facts[$fact->key()]}.");
            }
            $facts[$fact->key()] = $i;
            foreach (array_filter(['about' => $fact->about, 'with' => $fact->with]) as $key => $ref) {
                if ($this->unreadable === [] && ! $ref->isIn($this->parts)) {
                    $this->problem("/facts/{$i}/{$key}", "There is nothing at \"{$ref}\".");
                }
            }
            if ((string) $fact->with === (string) $fact->about) {
                $this->problem("/facts/{$i}/with", 'A thing fits another, not itself.');
            }
        }
        $measures = [];
        foreach ($this->parts->papers->measures as $i => $measure) {
            if (isset($measures[$measure->key()])) {
                $this->problem("/measures/{$i}", "There is one of this kind already: /measures/{$measures[$measure->key()]}.");
            }
            $measures[$measure->key()] = $i;
            if (! $measure->kind->isOf($measure->about)) {
                $this->problem("/measures/{$i}/kind", "This can't be said of \"{$measure->about}\".");
            } elseif ($this->unreadable === [] && ! $measure->about->isIn($this->parts)) {
                $this->problem("/measures/{$i}/about", "There is nothing at \"{$measure->about}\".");
            }
        }
        foreach ($this->parts->papers->accepted as $i => $one) {
            if (isset($evidence[$one->evidence])) {
                $this->problem("/accepted/{$i}/evidence", "This finding is accepted already: /accepted/{$evidence[$one->evidence]}.");
            }
            $evidence[$one->evidence] = $i;
        }
    }

    private function problem(string $pointer, string $message): void
    {
        $this->problems[] = new Problem($pointer, $message);
    }

    /** Something that no hand could do. */
    private function fault(string $pointer, string $fault, string $message): void
    {
        $this->problems[] = new Problem($pointer, $message, $fault);
    }

    private function uniqueIds(string $collection): void
    {
        $seen = [];
        /** @var Place|Unit|Cable|Source|Listener|Situation $thing */
        foreach ($this->parts->{$collection} as $i => $thing) {
            if (isset($seen[$thing->id])) {
                $this->problem(
                    "/{$collection}/{$i}/id",
                    "The id \"{$thing->id}\" is taken by /{$collection}/{$seen[$thing->id]}; ids are unique among {$collection}.",
                );
            } else {
                $seen[$thing->id] = $i;
                if ($thing instanceof Unit) {
                    $this->units[$thing->id] = $thing;
                }
            }
            $this->ids[$collection][$thing->id] = true;
        }
    }

    private function known(string $collection, string $id, string $pointer, string $word): bool
    {
        if (isset($this->ids[$collection][$id])) {
            return true;
        }
        $this->problem($pointer, "There is no {$word} \"{$id}\".");

        return false;
    }

    private function model(EquipmentModel $model): void
    {
        $base = '/models/'.$model->id;
        $s = 0;
        foreach ($model->sockets as $socket) {
            $l = 0;
            foreach ($socket->lanes as $lane) {
                $pointer = "{$base}/sockets/{$s}/lanes/{$l}";
                $point = $model->points[$lane->point] ?? null;
                if ($point === null) {
                    $this->problem("{$pointer}/point", "The model has no point \"{$lane->point}\".");
                } elseif ($lane->channels !== null && $lane->channels !== [] && max($lane->channels) > $point->channels) {
                    $this->problem("{$pointer}/channels", "The point \"{$lane->point}\" has only ".Count::of($point->channels, 'channel')
                        .'.');
                }
                $l++;
            }
            $s++;
        }
        foreach ($model->autoMutes as $a => $rule) {
            foreach (['mutes' => [$rule->mutes], 'while_open' => $rule->whileOpen] as $key => $points) {
                foreach ($points as $i => $point) {
                    if (! isset($model->points[$point])) {
                        $this->problem(
                            "{$base}/auto_mutes/{$a}/{$key}".($key === 'mutes' ? '' : "/{$i}"),
                            "The model has no point \"{$point}\".",
                        );
                    } elseif ($key === 'mutes' && $model->points[$point]->mute === null) {
                        $this->problem("{$base}/auto_mutes/{$a}/mutes", "\"{$point}\" has no mute switch.");
                    }
                }
            }
        }
        if ($model->takes !== Takes::Chosen && ! $model->family->isHost()) {
            $this->problem("{$base}/takes", 'Only a computer or tablet takes devices.');
        }
        $this->inside($model);
        foreach (array_values($model->points) as $p => $point) {
            $this->picking($model, $point, "{$base}/points/{$p}");
        }
        foreach (['meters', 'lamps'] as $kind) {
            foreach (array_values($model->{$kind}) as $i => $one) {
                if ($one->point !== null && ! isset($model->points[$one->point])) {
                    $this->problem("{$base}/{$kind}/{$i}/point", "The model has no point \"{$one->point}\".");
                }
            }
        }
        foreach (array_values($model->lamps) as $l => $lamp) {
            $setting = $lamp->setting === null ? null : $model->settings[$lamp->setting] ?? null;
            if ($lamp->setting !== null && $setting === null) {
                $this->problem("{$base}/lamps/{$l}/setting", "The model has no setting \"{$lamp->setting}\".");
            }
            if ($setting !== null && $lamp->value !== null && $setting->whyNot($lamp->value) !== null) {
                $this->problem("{$base}/lamps/{$l}/value", (string) $setting->whyNot($lamp->value));
            }
        }
        foreach (array_values($model->settings) as $s => $setting) {
            foreach ($setting->effects as $e => $effect) {
                $pointer = "{$base}/settings/{$s}/effects/{$e}";
                if ($effect->route !== null && ! isset($model->routes[$effect->route])) {
                    $this->problem("{$pointer}/route", "The model has no route \"{$effect->route}\".");
                }
                if ($effect->point !== null && ! isset($model->points[$effect->point])) {
                    $this->problem("{$pointer}/point", "The model has no point \"{$effect->point}\".");
                }
                if ($effect->socket !== null && ! isset($model->sockets[$effect->socket])) {
                    $this->problem("{$pointer}/socket", "The model has no socket \"{$effect->socket}\".");
                }
                if ($effect->device !== null && ! $model->offers($effect->device)) {
                    $this->problem("{$pointer}/device", "Nothing at \"{$effect->device}\" is an audio device of a computer.");
                }
                if ($setting->whyNot($effect->value) !== null) {
                    $this->problem("{$pointer}/value", (string) $setting->whyNot($effect->value));
                }
            }
        }
        $r = 0;
        $on = [];
        foreach ($model->routes as $route) {
            $pointer = "{$base}/routes/{$r}";
            foreach (['from' => $route->from, 'to' => $route->to] as $end => $id) {
                if (! isset($model->points[$id])) {
                    $this->problem("{$pointer}/{$end}", "The model has no point \"{$id}\".");
                }
            }
            if ($route->from === $route->to) {
                $this->problem("{$pointer}/to", 'A route leads to another point than it starts from.');
            }
            $from = $model->points[$route->from] ?? null;
            $to = $model->points[$route->to] ?? null;
            if ($from !== null && $to !== null && $route->map !== null && is_array($route->map->form)) {
                foreach ($route->map->form as [$a, $b]) {
                    if ($a > $from->channels || $b > $to->channels) {
                        $this->problem(
                            "{$pointer}/map",
                            "The pair [{$a}, {$b}] lies outside the points' {$from->channels} and {$to->channels} channels.",
                        );
                    }
                }
            }
            if ($route->group !== null && $route->on) {
                $other = $on[$route->group] ?? $route;
                if ($other->choice() !== $route->choice()) {
                    $this->problem(
                        "{$pointer}/on",
                        "Only one choice of the group \"{$route->group}\" is on at a time; \"{$other->key()}\" is on too.",
                    );
                }
                $on[$route->group] = $route;
            }
            $r++;
        }
    }

    /** What a point says of the devices that it takes. */
    private function picking(EquipmentModel $model, Point $point, string $pointer): void
    {
        $said = [
            'pick_from' => $point->pickFrom !== [], 'several' => $point->several > 1, 'device_of' => $point->deviceOf !== null,
        ];
        foreach ($said as $key => $isSaid) {
            if ($isSaid && $point->picks === null) {
                $this->problem("{$pointer}/{$key}", 'Only a point that "picks" a device says this.');
            }
        }
        if ($point->deviceOf === null) {
            return;
        }
        $giver = $model->points[$point->deviceOf] ?? null;
        if ($giver === null || $giver->picks !== $point->picks || $giver->deviceOf !== null) {
            $this->problem("{$pointer}/device_of", 'This is another point that picks a device of the same direction by itself.');
        }
        if ($point->several > 1 || $point->pickFrom !== []) {
            $this->problem("{$pointer}/device_of", 'A point with the device of another has no choice of devices itself.');
        }
    }

    /** Solo switches, outputs that can follow others, and rules. */
    private function inside(EquipmentModel $model): void
    {
        $base = '/models/'.$model->id;
        foreach (array_values($model->points) as $p => $point) {
            if ($point->solo !== null && ! isset($model->points[$point->solo])) {
                $this->problem("{$base}/points/{$p}/solo", "The model has no point \"{$point->solo}\".");
            }
            foreach ($point->canFollow as $f => $of) {
                if (! isset($model->points[$of]) || $of === $point->id) {
                    $this->problem("{$base}/points/{$p}/can_follow/{$f}", 'This is another point of the model.');
                }
            }
        }
        foreach (array_values($model->grows) as $g => $growth) {
            $has = $growth->count($model);
            if ($has < max(1, $growth->least) || $has > $growth->most) {
                $this->problem(
                    "{$base}/grows/{$g}",
                    'The model has '.Count::of($has, $growth->label).' by these parts; it has to have '.max(1, $growth->least)
                    ." to {$growth->most}.",
                );
            }
            foreach ($growth->widens as $w => $wide) {
                if (! isset($model->points[$wide]) || $growth->channelsOf($model, max(1, $has), $wide) === null) {
                    $this->problem(
                        "{$base}/grows/{$g}/widens/{$w}",
                        "No route with a channel map joins the last {$growth->label} and the point \"{$wide}\".",
                    );
                }
            }
            foreach ($growth->between as $b => $pair) {
                foreach (array_diff($pair, $growth->parts) as $part) {
                    $this->problem("{$base}/grows/{$g}/between/{$b}", "\"{$part}\" is none of its parts.");
                }
            }
        }
        foreach (array_values($model->rules) as $r => $rule) {
            foreach ($rule->when as $w => $condition) {
                $point = $model->points[$condition->point] ?? null;
                if ($point === null) {
                    $this->problem("{$base}/rules/{$r}/when/{$w}/point", "The model has no point \"{$condition->point}\".");
                } elseif ($condition->is === Standing::Soloed && $point->solo === null) {
                    $this->problem("{$base}/rules/{$r}/when/{$w}/is", "\"{$condition->point}\" has no solo switch.");
                }
            }
            foreach (array_keys($rule->routes) as $key) {
                if (! isset($model->routes[$key])) {
                    $this->problem(
                        "{$base}/rules/{$r}/routes/".Problem::token((string) $key),
                        "The model has no route \"{$key}\".",
                    );
                }
            }
        }
    }

    /** The chains of a unit's points. */
    private function effects(Unit $unit, EquipmentModel $model, int $i): void
    {
        $ids = $counts = [];
        foreach ($unit->effects as $e => $effect) {
            $pointer = "/units/{$i}/effects/{$e}";
            if (isset($ids[$effect->id])) {
                $this->problem("{$pointer}/id", "The id \"{$effect->id}\" is taken by /units/{$i}/effects/{$ids[$effect->id]}.");
            }
            $ids[$effect->id] ??= $e;
            $point = $model->points[$effect->at] ?? null;
            $rack = $point?->effects;
            if ($point === null || $rack === null) {
                $this->problem("{$pointer}/at", $point === null
                    ? "The model \"{$model->id}\" has no point \"{$effect->at}\"."
                    : "\"{$point->label}\" has no room for effects.");

                continue;
            }
            $counts[$effect->at] = ($counts[$effect->at] ?? 0) + 1;
            if ($counts[$effect->at] === $rack->most + 1) {
                $this->problem("{$pointer}/at", "\"{$point->label}\" has room for ".Count::of($rack->most, 'effect').'.');
            }
            if (! $rack->takes($effect->kind)) {
                $this->problem("{$pointer}/kind", "\"{$point->label}\" takes only ".implode(
                    ', ',
                    array_map(fn (EffectKind $one) => mb_strtolower($one->words()), $rack->kinds),
                ).'.');
            }
            foreach ($effect->offFor as $o => $into) {
                if (! $rack->perMix || ! isset($model->routes["{$effect->at}>{$into}"])) {
                    $this->problem("{$pointer}/off_for/{$o}", $rack->perMix
                        ? "Nothing leads from \"{$effect->at}\" to \"{$into}\"."
                        : "\"{$point->label}\" has its effects for all mixes or none.");
                }
            }
        }
    }

    /** The scenes of a program. */
    private function scenes(Unit $unit, EquipmentModel $model, int $i): void
    {
        $ids = [];
        foreach ([...$unit->scenes, null] as $s => $scene) {
            $pointer = $scene === null ? "/units/{$i}/always" : "/units/{$i}/scenes/{$s}/sources";
            foreach ($scene->sources ?? $unit->always as $p => $point) {
                if (! ($model->points[$point]->inScenes ?? false)) {
                    $this->problem("{$pointer}/{$p}", isset($model->points[$point])
                        ? "\"{$model->points[$point]->label}\" is in no scene: it always sounds."
                        : "The model \"{$model->id}\" has no point \"{$point}\".");
                }
            }
            if ($scene !== null && isset($ids[$scene->id])) {
                $this->problem("/units/{$i}/scenes/{$s}/id", "The id \"{$scene->id}\" is taken by /units/{$i}/scenes/{$ids[$scene->id]}.");
            }
            $ids += $scene === null ? [] : [$scene->id => $s];
        }
    }

    private function pictures(Unit $unit, EquipmentModel $model, int $i): void
    {
        $ids = $tied = [];
        foreach ($unit->pictures as $p => $picture) {
            $pointer = "/units/{$i}/pictures/{$p}";
            if (isset($ids[$picture->id])) {
                $this->problem("{$pointer}/id", "The id \"{$picture->id}\" is taken by /units/{$i}/pictures/{$ids[$picture->id]}.");
            }
            $ids[$picture->id] ??= $p;
            $point = $picture->sound === null ? null : $model->points[$picture->sound] ?? null;
            if ($picture->sound !== null && ($point === null || ! $point->inScenes)) {
                $this->problem("{$pointer}/sound", $point === null
                    ? "The model \"{$model->id}\" has no point \"{$picture->sound}\"."
                    : "\"{$point->label}\" is in no scene: it always sounds.");
            }
            if ($picture->isTied && isset($tied[$picture->sound])) {
                $this->problem("{$pointer}/tied", "/units/{$i}/pictures/{$tied[$picture->sound]} has this sound already.");
            }
            $tied += $picture->isTied ? [$picture->sound => $p] : [];
        }
        if ($unit->pictures !== [] && array_filter($model->points, fn (Point $point) => $point->inScenes) === []) {
            $this->problem("/units/{$i}/pictures", "A {$model->name} shows no pictures.");
        }
        foreach ([...$unit->scenes, null] as $s => $scene) {
            $pointer = "/units/{$i}/".($scene === null ? 'always' : "scenes/{$s}/sources");
            foreach ($scene->sources ?? $unit->always as $n => $point) {
                if (isset($tied[$point])) {
                    $name = $unit->pictures[$tied[$point]]->name;
                    $this->problem("{$pointer}/{$n}", "This goes with the picture \"{$name}\": put that in.");
                }
            }
            foreach ($scene->pictures ?? [] as $n => $picture) {
                if (! isset($ids[$picture])) {
                    $this->problem("/units/{$i}/scenes/{$s}/pictures/{$n}", "The unit has no picture \"{$picture}\".");
                }
            }
        }
    }

    private function scenesOf(Situation $situation, int $i): void
    {
        $seen = [];
        foreach ($situation->scenes as $c => $choice) {
            $pointer = "/situations/{$i}/scenes/{$c}";
            $model = $this->modelAt($choice->unit, "{$pointer}/unit");
            if ($model !== null && $this->units[$choice->unit]->scene($choice->scene) === null) {
                $this->problem("{$pointer}/scene", "The unit \"{$choice->unit}\" has no scene \"{$choice->scene}\".");
            }
            if (isset($seen[$choice->unit])) {
                $this->problem($pointer, "/situations/{$i}/scenes/{$seen[$choice->unit]} chooses its scene already.");
            }
            $seen[$choice->unit] = $c;
        }
    }

    private function effectsOf(Situation $situation, int $i): void
    {
        $seen = [];
        foreach ($situation->effects as $e => $switch) {
            $pointer = "/situations/{$i}/effects/{$e}";
            $model = $this->modelAt($switch->unit, "{$pointer}/unit");
            if ($model !== null && $this->units[$switch->unit]->effect($switch->effect) === null) {
                $this->problem("{$pointer}/effect", "The unit \"{$switch->unit}\" has no effect \"{$switch->effect}\".");
            }
            if (isset($seen[$switch->slot()])) {
                $this->problem($pointer, "/situations/{$i}/effects/{$seen[$switch->slot()]} switches this already.");
            }
            $seen[$switch->slot()] = $e;
        }
    }

    /** Outputs of a unit that follow others, and levels that are linked. */
    private function joined(Unit $unit, EquipmentModel $model, int $i): void
    {
        foreach ($unit->follows as $id => $following) {
            $pointer = "/units/{$i}/follows/".Problem::token((string) $id);
            $point = $model->points[$id] ?? null;
            if ($point === null) {
                $this->problem($pointer, "The model \"{$model->id}\" has no point \"{$id}\".");

                continue;
            }
            if (! in_array($following->of, $point->canFollow, true)) {
                $this->problem("{$pointer}/of", $point->canFollow === []
                    ? "\"{$point->label}\" follows no other output."
                    : "\"{$point->label}\" follows one of ".implode(', ', $point->canFollow).'.');
            } elseif (isset($unit->follows[$following->of])) {
                $this->problem("{$pointer}/of", "\"{$following->of}\" follows another output itself.");
            }
            foreach ($following->except as $e => $from) {
                if (! isset($model->routes["{$from}>{$id}"])) {
                    $this->problem("{$pointer}/except/{$e}", "Nothing leads from \"{$from}\" to \"{$id}\".");
                }
            }
        }
        $seen = [];
        foreach ($unit->linked as $l => $keys) {
            foreach ($keys as $k => $key) {
                $pointer = "/units/{$i}/linked/{$l}/{$k}";
                if (! ($model->routes[$key] ?? null)?->allows(RouteSetting::Db)) {
                    $this->problem($pointer, "The model \"{$model->id}\" has no route \"{$key}\" with a level of its own.");
                }
                if (isset($seen[$key])) {
                    $this->problem($pointer, 'This route is linked already.');
                }
                $seen[$key] = true;
            }
        }
    }

    private function units(): void
    {
        $hosts = [];
        foreach ($this->parts->units as $i => $unit) {
            foreach (References::of(Units::unit(), $unit) as ['pointer' => $pointer, 'list' => $list, 'id' => $id]) {
                if ($list === 'units' && $id === $unit->id) {
                    $this->problem("/units/{$i}{$pointer}", 'This is the unit itself: name another.');
                } else {
                    $this->known($list, $id, "/units/{$i}{$pointer}", References::WORDS[$list]);
                }
            }
            $model = $this->parts->models[$unit->model] ?? null;
            if ($model === null) {
                $this->opaque[$unit->id] = true;

                continue;
            }
            if ($unit->system !== null && ! $model->family->isHost()) {
                $this->problem("/units/{$i}/system", 'Only a computer or tablet has an operating system.');
            }
            if ($model->family->isHost()) {
                if (isset($hosts[$unit->place])) {
                    $this->problem(
                        "/units/{$i}/place",
                        "The place \"{$unit->place}\" has its computer already: \"{$hosts[$unit->place]}\". A second computer needs a "
                            .'place of its own.',
                    );
                }
                $hosts[$unit->place] = $unit->id;
            }
            foreach ($unit->points as $id => $settings) {
                $this->pointSettings($model, (string) $id, $settings, "/units/{$i}/settings/points/".Problem::token((string) $id));
            }
            foreach ($unit->routes as $key => $settings) {
                $this->routeSettings($model, (string) $key, $settings, "/units/{$i}/settings/routes/".Problem::token((string) $key));
            }
            $this->joined($unit, $model, $i);
            $this->effects($unit, $model, $i);
            $this->scenes($unit, $model, $i);
            $this->pictures($unit, $model, $i);
            foreach (array_keys($unit->names) as $point) {
                if (! isset($model->points[$point])) {
                    $this->problem(
                        "/units/{$i}/names/".Problem::token((string) $point),
                        "The model \"{$model->id}\" has no point \"{$point}\".",
                    );
                }
            }
            foreach ($unit->values as $id => $value) {
                $this->value($model, (string) $id, $value, "/units/{$i}/settings/values/".Problem::token((string) $id));
            }
            $this->groups($unit, $model, $i);
        }
        foreach ($this->parts->units as $i => $unit) {
            $model = $this->parts->models[$unit->model] ?? null;
            if ($model !== null && $model->isProgram() && isset($this->ids['places'][$unit->place]) && ! isset($hosts[$unit->place])
                && ($this->unreadable['units'] ?? []) === [] && ($this->unreadable['models'] ?? []) === []) {
                $this->problem(
                    "/units/{$i}/place",
                    "A program runs in a place that has a computer or a tablet; \"{$unit->place}\" has none.",
                );
            }
        }
    }

    /** At most one route of an exclusive group stays on once the unit's settings are applied; switching one on switches the others off. */
    private function groups(Unit $unit, EquipmentModel $model, int $i): void
    {
        $on = [];
        foreach ($unit->routes as $key => $settings) {
            $route = $model->routes[$key] ?? null;
            if ($route?->group === null || $settings->on !== true) {
                continue;
            }
            $other = $on[$route->group] ?? $route;
            if ($other->choice() !== $route->choice()) {
                $this->problem(
                    "/units/{$i}/settings/routes/".Problem::token((string) $key).'/on',
                    "Only one choice of the group \"{$route->group}\" is on at a time; \"{$other->key()}\" is on too.",
                );
            }
            $on[$route->group] = $route;
        }
    }

    private function pointSettings(EquipmentModel $model, string $id, PointSettings $settings, string $pointer): void
    {
        $point = $model->points[$id] ?? null;
        if ($point === null) {
            $this->problem($pointer, "The model \"{$model->id}\" has no point \"{$id}\".");

            return;
        }
        foreach (Controls::all() as $kind) {
            $value = $settings->of($kind);
            $trouble = $value === null ? null : $kind->whyNot($value, $model, $point);
            if ($trouble !== null) {
                $this->problem("{$pointer}/{$kind->key()}", $trouble);
            }
        }
    }

    private function routeSettings(EquipmentModel $model, string $key, RouteSettings $settings, string $pointer): void
    {
        $route = $model->routes[$key] ?? null;
        if ($route === null) {
            $this->problem($pointer, "The model \"{$model->id}\" has no route \"{$key}\".");

            return;
        }
        foreach (['on' => $settings->on, 'db' => $settings->db, 'tap' => $settings->tap] as $name => $value) {
            if ($value !== null && ! $route->allows(RouteSetting::from($name))) {
                $this->problem("{$pointer}/{$name}", "The model fixes \"{$name}\" of the route \"{$key}\".");
            }
        }
    }

    private function cables(): void
    {
        $taken = $labels = [];
        $turns = new Turns($this->parts->situations);
        foreach ($this->parts->cables as $i => $cable) {
            if (isset($labels[$cable->label])) {
                $this->fault(
                    "/cables/{$i}/label",
                    "label {$cable->id} {$cable->label}",
                    "The label \"{$cable->label}\" is on /cables/{$labels[$cable->label]} already. Give each cable a label of its own.",
                );
            }
            $labels[$cable->label] = $i;
            $ends = [];
            foreach (['from' => $cable->from, 'to' => $cable->to] as $name => $ref) {
                $model = $this->modelAt($ref->unit, "/cables/{$i}/{$name}");
                $ends[$name] = $model?->sockets[$ref->socket] ?? null;
                if ($model !== null && $ends[$name] === null) {
                    $this->problem("/cables/{$i}/{$name}", "The unit \"{$ref->unit}\" has no socket \"{$ref->socket}\".");
                }
            }
            if ((string) $cable->from === (string) $cable->to) {
                $this->problem("/cables/{$i}/to", 'A cable joins two sockets; both ends are in the same one.');
            }
            foreach ($ends as $name => $socket) {
                $at = (string) ($name === 'from' ? $cable->from : $cable->to);
                if ($socket === null) {
                    continue;
                }
                foreach ($socket->connector->takesSeveral() ? [] : $taken[$at] ?? [] as $other) {
                    if ($other->id !== $cable->id && (count($taken[$at] ?? []) >= Turns::MOST || ! $turns->take($other->id, $cable->id))) {
                        $this->fault(
                            "/cables/{$i}/{$name}",
                            "taken {$cable->id} {$at}",
                            "{$socket->label} has {$other->label} in it already. Use another socket, or put a splitter or a hub between.",
                        );

                        break;
                    }
                }
                $taken[$at][] = $cable;
                if (! $cable->type->fits($socket->connector)
                    && ($name === 'from' || $ends['from'] === null || $cable->type->fits($ends['from']->connector))) {
                    $this->fault(
                        "/cables/{$i}/{$name}",
                        "plug {$cable->id} {$at}",
                        ucfirst($cable->type->article())
                            ." {$cable->type->words()} lead does not go into {$socket->label} ({$socket->connector->words()})."
                            .$this->wayOut($ends['from'], $ends['to']),
                    );
                }
            }
            if ($cable->lanes === null || $ends['from'] === null || $ends['to'] === null) {
                continue;
            }
            foreach ($cable->lanes as $l => [$a, $b]) {
                $from = $ends['from']->lanes[$a] ?? null;
                $to = $ends['to']->lanes[$b] ?? null;
                if ($from === null || $to === null) {
                    $this->problem(
                        "/cables/{$i}/lanes/{$l}",
                        'There is no lane "'.($from === null ? $a : $b).'" in the socket at the '.($from === null ? 'from' : 'to').' end.',
                    );
                } elseif ($from->way === $to->way) {
                    $this->problem("/cables/{$i}/lanes/{$l}", "Both lanes go {$from->way->value}: a pair joins an out with an in.");
                }
            }
        }
    }

    /** What would join two sockets, where a lead does not. */
    private function wayOut(?Socket $from, ?Socket $to): string
    {
        $fits = $from === null || $to === null ? null : Mating::cable($from, $to);

        return $fits === null
            ? ' An adapter or a converter has to stand between the two.'
            : " These two take {$fits->article()} {$fits->words()} lead.";
    }

    private function devices(): void
    {
        $seen = [];
        $roles = [];
        foreach ($this->parts->devices as $i => $settings) {
            $host = $this->modelAt($settings->computer, "/devices/{$i}/computer");
            if ($host !== null && ! $host->family->isHost()) {
                $this->problem("/devices/{$i}/computer", "\"{$settings->computer}\" is no computer or tablet.");
            }
            $offer = $this->offerAt($settings->device, "/devices/{$i}/device");
            if ($host?->takes === Takes::LastPlugged && $settings->roles !== []) {
                $this->problem("/devices/{$i}/roles", self::BY_PLUG);
            }
            $key = $settings->computer.' '.$settings->device;
            if (isset($seen[$key])) {
                $this->problem("/devices/{$i}/device", "The device has its settings at /devices/{$seen[$key]} already.");
            }
            $seen[$key] = $i;
            $target = $settings->playsTo === null ? null : $this->offerAt($settings->playsTo, "/devices/{$i}/plays_to");
            if ($target !== null && $target->direction !== Direction::Playback) {
                $this->problem("/devices/{$i}/plays_to", 'A system plays to a playback device.');
            }
            if ($settings->playsTo !== null && $offer !== null && $offer->direction !== Direction::Recording) {
                $this->problem("/devices/{$i}/plays_to", 'Only a recording device is played to another device.');
            }
            foreach ($settings->roles as $r => $role) {
                if ($offer === null) {
                    continue;
                }
                if ($role !== Role::Call && $role->value !== $offer->direction->value) {
                    $this->problem(
                        "/devices/{$i}/roles/{$r}",
                        "A {$offer->direction->value} device can't be the default for {$role->value}.",
                    );
                }
                $slot = $settings->computer.' '.$offer->direction->value.' '.$role->value;
                if (isset($roles[$slot])) {
                    $this->problem(
                        "/devices/{$i}/roles/{$r}",
                        "/devices/{$roles[$slot]} is the computer's default for {$role->value} ({$offer->direction->value}) already.",
                    );
                }
                $roles[$slot] = $i;
            }
        }
    }

    private function picks(): void
    {
        $seen = [];
        foreach ($this->parts->picks as $i => $pick) {
            $at = (string) $pick->at;
            if (isset($seen[$at])) {
                $this->problem("/picks/{$i}/at", "\"{$at}\" has its pick at /picks/{$seen[$at]} already.");
            }
            $seen[$at] = $i;
            $this->pick($pick, "/picks/{$i}");
        }
    }

    private function pick(Pick $pick, string $pointer): void
    {
        $point = $this->pointAt($pick->at, "{$pointer}/at");
        if ($point === null) {
            return;
        }
        if ($point->picks === null) {
            $this->problem("{$pointer}/at", "\"{$point->label}\" takes no device.");

            return;
        }
        if ($pick->tap === Direction::Recording || ($pick->tap !== null && $point->picks === Direction::Playback)) {
            $this->problem("{$pointer}/tap", 'Only an in can tap, and only what the system sends to a playback device: "playback".');
        }
        if ($pick->channels !== null && count($pick->channels) > $point->channels) {
            $this->problem("{$pointer}/channels", "\"{$point->label}\" takes only ".Count::of($point->channels, 'channel').'.');
        }
        if ($point->deviceOf !== null) {
            if ($pick->device !== null || $pick->default !== null || $pick->also !== [] || $pick->tap !== null) {
                $giver = $this->parts->models[$this->units[$pick->at->unit]->model]->points[$point->deviceOf]->label ?? $point->deviceOf;
                $this->problem($pointer, "\"{$point->label}\" takes the device of \"{$giver}\": it has \"channels\" only.");
            } elseif ($pick->channels === null) {
                $this->problem($pointer, "Say which \"channels\" of its device \"{$point->label}\" takes.");
            }

            return;
        }
        if ($pick->device === null && $pick->default === null) {
            $this->problem($pointer, 'A pick names a "device", or follows a "default": system or call.');

            return;
        }
        $this->offered($pick, $point, $pointer);
        if ($pick->device === null) {
            return;
        }
        $offer = $this->offerAt($pick->device, "{$pointer}/device");
        $this->ofThisComputer($pick, $pick->device, "{$pointer}/device");
        $wanted = $pick->tap ?? $point->picks;
        if ($offer !== null && $offer->direction !== $wanted) {
            $this->problem(
                "{$pointer}/device",
                "\"{$point->label}\" takes a {$wanted->value} device; \"{$pick->device}\" is for {$offer->direction->value}.",
            );
        }
        $width = $offer === null ? null : $this->deviceWidth($pick->device);
        if ($width !== null && $pick->channels !== null && $pick->channels !== [] && max($pick->channels) > $width) {
            $this->problem("{$pointer}/channels", 'The device has only '.Count::of($width, 'channel').'.');
        }
    }

    /** What is plugged can be plugged elsewhere; a computer's own sockets and what is installed there can't. */
    private function ofThisComputer(Pick $pick, DeviceRef $device, string $pointer): void
    {
        $program = $this->units[$pick->at->unit] ?? null;
        $giver = $this->units[$device->unit] ?? null;
        $gives = $giver === null ? null : ($this->parts->models[$giver->model] ?? null);
        if ($program !== null && $giver !== null && $gives !== null && $program->place !== $giver->place
            && ($gives->family->isHost() || $gives->isProgram())) {
            $this->fault(
                $pointer,
                "elsewhere {$pick->at} {$device}",
                "{$giver->name} is not on the computer of {$program->name}: a program takes the devices of its own computer only.",
            );
        }
    }

    /** Whether the program lets one choose what is picked there, and as many devices at once. */
    private function offered(Pick $pick, Point $point, string $pointer): void
    {
        $from = $pick->device === null
            ? PickFrom::Defaults
            : $pick->device->pickFrom($pick->tap !== null && $point->picks === Direction::Recording);
        if (! $point->offers($from)) {
            $offered = implode(', ', array_map(fn (PickFrom $one) => $one->words(), $point->pickFrom));
            $this->fault(
                "{$pointer}/".($pick->device === null ? 'default' : 'device'),
                "offered {$pick->at} ".($pick->device ?? $pick->default->value ?? ''),
                "\"{$point->label}\" does not offer {$from->words()}, only {$offered}.",
            );
        }
        if (count($pick->also) >= $point->several && $pick->also !== []) {
            $this->problem("{$pointer}/also", "\"{$point->label}\" takes ".Count::of($point->several, 'device').' at once.');
        }
        $seen = [(string) $pick->device => true];
        foreach ($pick->also as $a => $device) {
            $offer = $this->offerAt($device, "{$pointer}/also/{$a}");
            if ($offer !== null && $offer->direction !== ($pick->tap ?? $point->picks)) {
                $this->problem("{$pointer}/also/{$a}", "This is a {$offer->direction->value} device.");
            }
            if (isset($seen[(string) $device])) {
                $this->problem("{$pointer}/also/{$a}", 'This device is named already.');
            }
            $seen[(string) $device] = true;
            $this->ofThisComputer($pick, $device, "{$pointer}/also/{$a}");
            if ($pick->device !== null && ! $point->offers($device->pickFrom($pick->tap !== null))) {
                $this->problem("{$pointer}/also/{$a}", "\"{$point->label}\" does not offer this device.");
            }
        }
    }

    /** What can be computed within seconds; a broadcast house has a tenth of it. */
    private function sizes(): void
    {
        $cells = count($this->parts->sources) * count($this->parts->listeners);
        if ($cells > self::MOST_CELLS) {
            $this->problem('/listeners',
                sprintf('%s sources at %s listeners are %s cells of the hearing table; up to %s are computed. Split the rig in two.',
                    number_format(count($this->parts->sources)), number_format(count($this->parts->listeners)),
                    number_format($cells), number_format(self::MOST_CELLS)));
        }
        $links = 0;
        $ofModel = [];
        foreach ($this->parts->units as $unit) {
            $model = $this->parts->models[$unit->model] ?? null;
            $links += $model === null ? 0 : $ofModel[$unit->model] ??= $this->channelLinks($model);
        }
        if ($links > self::MOST_LINKS) {
            $this->problem('/units', sprintf('The routes of all units join %s pairs of channels; up to %s are computed. Take out routes '
                .'that are not needed, or split the rig in two.',
                number_format($links), number_format(self::MOST_LINKS)));
        }
    }

    private function channelLinks(EquipmentModel $model): int
    {
        $links = 0;
        foreach ($model->routes as $route) {
            $from = $model->points[$route->from]->channels ?? 1;
            $to = $model->points[$route->to]->channels ?? 1;
            $links += is_array($route->map?->form) ? count($route->map->form) : max($from, $to);
        }

        return $links;
    }

    private function soundsAndListeners(): void
    {
        foreach ($this->parts->sources as $i => $source) {
            $begins = [];
            foreach ($source->origins as $o => $origin) {
                if (isset($begins[(string) $origin->at])) {
                    $this->problem(
                        "/sources/{$i}/origins/{$o}/at",
                        "\"{$source->name}\" begins at \"{$origin->at}\" already: say it once.",
                    );
                }
                $begins[(string) $origin->at] = true;
                $point = $this->pointAt($origin->at, "/sources/{$i}/origins/{$o}/at");
                if ($point !== null && $point->kind !== PointKind::Origin) {
                    $this->problem("/sources/{$i}/origins/{$o}/at", "\"{$point->label}\" is no origin: no sound begins there.");
                }
            }
        }
        foreach ($this->parts->listeners as $i => $listener) {
            foreach ($listener->at as $a => $ref) {
                $point = $this->pointAt($ref, "/listeners/{$i}/at/{$a}");
                if ($point !== null && $point->kind !== PointKind::Ear) {
                    $this->problem("/listeners/{$i}/at/{$a}", "\"{$point->label}\" is no ear: nobody listens there.");
                }
            }
        }
    }

    private function wishes(): void
    {
        $seen = [];
        foreach ($this->parts->wishes as $i => $wish) {
            $this->known('sources', $wish->source, "/wishes/{$i}/source", 'source');
            $this->known('listeners', $wish->listener, "/wishes/{$i}/listener", 'listener');
            foreach ($wish->situations as $s => $situation) {
                $this->known('situations', $situation, "/wishes/{$i}/situations/{$s}", 'situation');
            }
            foreach ($wish->situations === [] ? [''] : $wish->situations as $situation) {
                $key = $wish->source.' '.$wish->listener.' '.$situation;
                if (isset($seen[$key])) {
                    $this->problem(
                        "/wishes/{$i}",
                        "/wishes/{$seen[$key]} says what is wanted for this pair already"
                            .($situation === '' ? '.' : " in \"{$situation}\"."),
                    );
                }
                $seen[$key] = $i;
            }
        }
    }

    private function situations(): void
    {
        foreach ($this->parts->situations as $i => $situation) {
            $lists = ['absent' => ['units', 'unit'], 'pulled' => ['cables', 'cable'], 'plugged' => ['cables', 'cable']];
            foreach ($lists as $key => [$collection, $word]) {
                foreach ($situation->{$key} as $n => $id) {
                    $this->known($collection, $id, "/situations/{$i}/{$key}/{$n}", $word);
                    if (array_search($id, $situation->{$key}, true) !== $n) {
                        $this->problem("/situations/{$i}/{$key}/{$n}", "\"{$id}\" is named already.");
                    }
                }
            }
            $this->defaultsOf($situation, $i);
            $this->levelsOf($situation, $i);
            $this->settingsOf($situation, $i);
            $this->effectsOf($situation, $i);
            $this->scenesOf($situation, $i);
            $seen = [];
            $on = [];
            foreach ($situation->changes as $c => $change) {
                $pointer = "/situations/{$i}/changes/{$c}";
                $key = $change->at.($change->set instanceof Pick ? ' pick' : '');
                if (isset($seen[$key])) {
                    $this->problem("{$pointer}/at", "/situations/{$i}/changes/{$seen[$key]} changes this already.");
                }
                $seen[$key] = $c;
                if ($change->set instanceof Pick) {
                    $this->pick($change->set, "{$pointer}/set");

                    continue;
                }
                $model = $this->modelAt($change->at->unit, "{$pointer}/at");
                if ($model === null) {
                    continue;
                }
                if ($change->at instanceof RouteRef && $change->set instanceof RouteSettings) {
                    $this->routeSettings(
                        $model,
                        $change->at->key,
                        $change->set,
                        isset($model->routes[$change->at->key]) ? "{$pointer}/set" : "{$pointer}/at",
                    );
                    $route = $model->routes[$change->at->key] ?? null;
                    if ($route?->group !== null && $change->set->on === true) {
                        [$by, $choice] = $on["{$change->at->unit} {$route->group}"] ??= [$c, $route->choice()];
                        if ($choice !== $route->choice()) {
                            $this->problem(
                                "{$pointer}/set/on",
                                "Only one choice of the group \"{$route->group}\" is on at a time; "
                                    ."/situations/{$i}/changes/{$by} switches another on.",
                            );
                        }
                    }
                } elseif ($change->at instanceof PointRef && $change->set instanceof PointSettings) {
                    $this->pointSettings(
                        $model,
                        $change->at->point,
                        $change->set,
                        isset($model->points[$change->at->point]) ? "{$pointer}/set" : "{$pointer}/at",
                    );
                }
            }
        }
    }

    private function defaultsOf(Situation $situation, int $i): void
    {
        $seen = [];
        foreach ($situation->defaults as $d => $default) {
            $pointer = "/situations/{$i}/defaults/{$d}";
            $host = $this->modelAt($default->computer, "{$pointer}/computer");
            if ($host !== null && ! $host->family->isHost()) {
                $this->problem("{$pointer}/computer", "\"{$default->computer}\" is no computer or tablet.");
            }
            if ($host?->takes === Takes::LastPlugged) {
                $this->problem($pointer, self::BY_PLUG);
            }
            $offer = $this->offerAt($default->device, "{$pointer}/device");
            if ($offer !== null && $offer->direction !== $default->direction) {
                $this->problem("{$pointer}/device", "This is a {$offer->direction->value} device, not a {$default->direction->value} one.");
            }
            if ($default->role !== Role::Call && $default->role->value !== $default->direction->value) {
                $this->problem("{$pointer}/role",
                    "A {$default->direction->value} device can't be the default for {$default->role->value}.");
            }
            if (isset($seen[$default->slot()])) {
                $this->problem($pointer, "/situations/{$i}/defaults/{$seen[$default->slot()]} names this default already.");
            }
            $seen[$default->slot()] = $d;
        }
    }

    private function value(EquipmentModel $model, string $id, string|bool|float $value, string $pointer): void
    {
        $setting = $model->settings[$id] ?? null;
        $trouble = $setting === null ? "The model \"{$model->id}\" has no setting \"{$id}\"." : $setting->whyNot($value);
        if ($trouble !== null) {
            $this->problem($pointer, $trouble);
        }
    }

    private function settingsOf(Situation $situation, int $i): void
    {
        $seen = [];
        foreach ($situation->settings as $s => $set) {
            $pointer = "/situations/{$i}/settings/{$s}";
            $model = $this->modelAt($set->unit, "{$pointer}/unit");
            if ($model !== null) {
                $at = isset($model->settings[$set->setting]) ? 'value' : 'setting';
                $this->value($model, $set->setting, $set->value, "{$pointer}/{$at}");
            }
            if (isset($seen[$set->slot()])) {
                $this->problem($pointer, "/situations/{$i}/settings/{$seen[$set->slot()]} sets this already.");
            }
            $seen[$set->slot()] = $s;
        }
    }

    private function levelsOf(Situation $situation, int $i): void
    {
        $seen = [];
        foreach ($situation->levels as $l => $level) {
            $pointer = "/situations/{$i}/levels/{$l}";
            $host = $this->modelAt($level->computer, "{$pointer}/computer");
            if ($host !== null && ! $host->family->isHost()) {
                $this->problem("{$pointer}/computer", "\"{$level->computer}\" is no computer or tablet.");
            }
            $this->offerAt($level->device, "{$pointer}/device");
            if (isset($seen[$level->slot()])) {
                $this->problem($pointer, "/situations/{$i}/levels/{$seen[$level->slot()]} sets this device already.");
            }
            $seen[$level->slot()] = $l;
        }
    }

    private function modelAt(string $unit, string $pointer): ?EquipmentModel
    {
        if (! isset($this->units[$unit]) && ! isset($this->opaque[$unit])) {
            $this->problem($pointer, "There is no unit \"{$unit}\".");
        }

        return isset($this->opaque[$unit]) || ! isset($this->units[$unit]) ? null : $this->parts->models[$this->units[$unit]->model];
    }

    private function pointAt(PointRef $ref, string $pointer): ?Point
    {
        $model = $this->modelAt($ref->unit, $pointer);
        if ($model !== null && ! isset($model->points[$ref->point])) {
            $this->problem($pointer, "The unit \"{$ref->unit}\" has no point \"{$ref->point}\".");
        }

        return $model?->points[$ref->point] ?? null;
    }

    private function offerAt(DeviceRef $ref, string $pointer): ?DeviceOffer
    {
        $model = $this->modelAt($ref->unit, $pointer);
        if ($model === null) {
            return null;
        }
        $offer = $ref->lane === null
            ? ($model->points[$ref->givenBy] ?? null)?->device
            : ($model->sockets[$ref->givenBy]->lanes[$ref->lane] ?? null)?->device;
        if ($offer === null) {
            $this->problem($pointer, "Nothing at \"{$ref}\" is an audio device of a computer.");
        }

        return $offer;
    }

    private function deviceWidth(DeviceRef $ref): ?int
    {
        $model = $this->parts->models[$this->units[$ref->unit]->model];
        if ($ref->lane === null) {
            return $model->points[$ref->givenBy]->channels;
        }
        $lane = $model->sockets[$ref->givenBy]->lanes[$ref->lane];

        return $lane->channels === null ? ($model->points[$lane->point] ?? null)?->channels : count($lane->channels);
    }
}

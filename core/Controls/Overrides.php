<?php

declare(strict_types=1);

namespace HiddenWire\Core\Controls;

use HiddenWire\Core\Equipment\Dials\Dials;
use HiddenWire\Core\Rig\Change;
use HiddenWire\Core\Rig\Pick;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\PointSettings;
use HiddenWire\Core\Rig\RouteRef;
use HiddenWire\Core\Rig\RouteSettings;
use HiddenWire\Core\Rig\Situation;
use HiddenWire\Core\Situations\Adjustable;
use HiddenWire\Core\Situations\CableIn;
use HiddenWire\Core\Situations\DefaultDevice;
use HiddenWire\Core\Situations\DeviceLevel;
use HiddenWire\Core\Situations\DialSetting;
use HiddenWire\Core\Situations\EffectOn;
use HiddenWire\Core\Situations\NamedSetting;
use HiddenWire\Core\Situations\PickedDevice;
use HiddenWire\Core\Situations\PlugOrder;
use HiddenWire\Core\Situations\Presence;
use HiddenWire\Core\Situations\RouteAspect;
use HiddenWire\Core\Situations\SceneShown;
use HiddenWire\Core\Situations\Selector;

/**
 * What a situation sets, each setting by itself, so that they can be exchanged one by one with another situation's: that is how things
 * stand while somebody goes from one to the other.
 */
final readonly class Overrides
{
    /** @param  array<string, mixed>  $all  by key: of a change its place and its property, of others their list and their slot */
    private function __construct(private array $all)
    {
    }

    public static function of(Situation $situation): self
    {
        $all = [];
        foreach ($situation->changes as $change) {
            $set = $change->set;
            if ($set instanceof Pick) {
                $all["pick {$change->at}"] = $change;
            } elseif ($set instanceof PointSettings) {
                foreach (Dials::all() as $kind) {
                    if ($set->of($kind) !== null) {
                        $all["change {$change->at} {$kind->property()}"] = [$change->at, $kind->property(), $set->of($kind)];
                    }
                }
            } else {
                foreach (['on' => $set->on, 'db' => $set->db, 'tap' => $set->tap] as $property => $value) {
                    if ($value !== null) {
                        $all["change {$change->at} {$property}"] = [$change->at, $property, $value];
                    }
                }
            }
        }
        foreach (['absent' => $situation->absent, 'pulled' => $situation->pulled] as $list => $ids) {
            foreach ($ids as $id) {
                $all["{$list} {$id}"] = $id;
            }
        }
        foreach (['defaults' => $situation->defaults, 'levels' => $situation->levels, 'settings' => $situation->settings,
            'effects' => $situation->effects] as $list => $things) {
            foreach ($things as $thing) {
                $all["{$list} {$thing->slot()}"] = $thing;
            }
        }
        foreach ($situation->scenes as $scene) {
            $all["scenes {$scene->unit}"] = $scene;
        }

        return new self($situation->plugged === [] ? $all : [...$all, 'plugged' => $situation->plugged]);
    }

    /**
     * These, with some things as another situation has them.
     *
     * @param  list<Adjustable>  $things
     */
    public function with(array $things, self $other): self
    {
        $all = $this->all;
        foreach ($things as $thing) {
            foreach (self::keys($thing) as $key) {
                unset($all[$key]);
                $all += array_intersect_key($other->all, [$key => true]);
            }
        }

        return new self($all);
    }

    /** A situation that sets them, of another's id and name. */
    public function situation(Situation $like): Situation
    {
        $points = $routes = $picks = $lists = [];
        foreach ($this->all as $key => $value) {
            [$list] = explode(' ', $key, 2);
            if ($list === 'pick') {
                $picks[] = $value;
            } elseif ($list !== 'change') {
                $lists[$list][] = $value;
            } elseif ($value[0] instanceof PointRef) {
                $points[(string) $value[0]] = [$value[0], [...($points[(string) $value[0]][1] ?? []), $value[1] => $value[2]]];
            } else {
                $routes[(string) $value[0]] = [$value[0], [...($routes[(string) $value[0]][1] ?? []), $value[1] => $value[2]]];
            }
        }
        $changes = $picks;
        foreach ($points as [$at, $set]) {
            $changes[] = new Change($at, new PointSettings(...$set));
        }
        foreach ($routes as [$at, $set]) {
            assert($at instanceof RouteRef);
            $changes[] = new Change($at, new RouteSettings(...$set));
        }

        return new Situation(
            $like->id,
            $like->name,
            changes: $changes,
            absent: $lists['absent'] ?? [],
            pulled: $lists['pulled'] ?? [],
            defaults: $lists['defaults'] ?? [],
            levels: $lists['levels'] ?? [],
            settings: $lists['settings'] ?? [],
            plugged: $lists['plugged'][0] ?? [],
            effects: $lists['effects'] ?? [],
            scenes: $lists['scenes'] ?? [],
        );
    }

    /**
     * @return list<string> of what a hand sets at once
     *
     * @throws \LogicException of what no hand sets
     */
    private static function keys(Adjustable $thing): array
    {
        return match (true) {
            $thing instanceof DialSetting => ["change {$thing->at} {$thing->kind->property()}"],
            $thing instanceof RouteAspect => ["change {$thing->at} {$thing->setting->value}"],
            $thing instanceof Selector => array_map(
                fn (int|string $key): string => "change {$thing->unit()}/{$key} on",
                array_keys($thing->routes()),
            ),
            $thing instanceof PickedDevice => ["pick {$thing->at}"],
            $thing instanceof Presence => ["absent {$thing->unit()}"],
            $thing instanceof CableIn => ["pulled {$thing->cable}"],
            $thing instanceof DefaultDevice => ["defaults {$thing->unit()} {$thing->direction->value} {$thing->role->value}"],
            $thing instanceof DeviceLevel => ["levels {$thing->unit()} {$thing->device}"],
            $thing instanceof NamedSetting => ["settings {$thing->unit()} {$thing->setting}"],
            $thing instanceof EffectOn => ["effects {$thing->unit()} {$thing->effect}"],
            $thing instanceof SceneShown => ["scenes {$thing->unit()}"],
            $thing instanceof PlugOrder => ['plugged'],
            default => throw new \LogicException('Nobody can press '.$thing::class),
        };
    }
}

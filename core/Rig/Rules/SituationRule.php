<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig\Rules;

use HiddenWire\Core\Equipment\Takes;
use HiddenWire\Core\Rig\Altered;
use HiddenWire\Core\Rig\Pick;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\PointSettings;
use HiddenWire\Core\Rig\Role;
use HiddenWire\Core\Rig\RouteRef;
use HiddenWire\Core\Rig\RouteSettings;
use HiddenWire\Core\Rig\Situation;

/** A situation changes what is there, to what it can be. */
final class SituationRule implements Rule
{
    private const BY_PLUG = 'This system takes what was plugged in last: say the order of the leads in a situation ("plugged").';

    public function reads(): array
    {
        return ['situations', 'models', Altered::FRAME];
    }

    public function check(Fit $in): void
    {
        foreach ($in->parts->situations as $i => $situation) {
            foreach (['absent' => $situation->absent, 'pulled' => $situation->pulled, 'plugged' => $situation->plugged] as $key => $ids) {
                foreach ($ids as $n => $id) {
                    if (array_search($id, $ids, true) !== $n) {
                        $in->problem("/situations/{$i}/{$key}/{$n}", "\"{$id}\" is named already.");
                    }
                }
            }
            $this->defaultsOf($in, $situation, $i);
            $this->levelsOf($in, $situation, $i);
            $this->settingsOf($in, $situation, $i);
            $this->effectsOf($in, $situation, $i);
            $this->scenesOf($in, $situation, $i);
            $seen = [];
            $on = [];
            foreach ($situation->changes as $c => $change) {
                $pointer = "/situations/{$i}/changes/{$c}";
                $key = $change->at.($change->set instanceof Pick ? ' pick' : '');
                if (isset($seen[$key])) {
                    $in->problem("{$pointer}/at", "/situations/{$i}/changes/{$seen[$key]} changes this already.");
                }
                $seen[$key] = $c;
                if ($change->set instanceof Pick) {
                    PickRule::pick($in, $change->set, "{$pointer}/set");

                    continue;
                }
                $model = $in->modelAt($change->at->unit, "{$pointer}/at");
                if ($model === null) {
                    continue;
                }
                if ($change->at instanceof RouteRef && $change->set instanceof RouteSettings) {
                    Settled::route(
                        $in,
                        $model,
                        $change->at->key,
                        $change->set,
                        isset($model->routes[$change->at->key]) ? "{$pointer}/set" : "{$pointer}/at",
                    );
                    $route = $model->routes[$change->at->key] ?? null;
                    if ($route?->group !== null && $change->set->on === true) {
                        [$by, $choice] = $on["{$change->at->unit} {$route->group}"] ??= [$c, $route->choice()];
                        if ($choice !== $route->choice()) {
                            $in->problem(
                                "{$pointer}/set/on",
                                "Only one choice of the group \"{$route->group}\" is on at a time; "
                                    ."/situations/{$i}/changes/{$by} switches another on.",
                            );
                        }
                    }
                } elseif ($change->at instanceof PointRef && $change->set instanceof PointSettings) {
                    Settled::point(
                        $in,
                        $model,
                        $change->at->point,
                        $change->set,
                        isset($model->points[$change->at->point]) ? "{$pointer}/set" : "{$pointer}/at",
                    );
                }
            }
        }
    }

    private function scenesOf(Fit $in, Situation $situation, int $i): void
    {
        $seen = [];
        foreach ($situation->scenes as $c => $choice) {
            $pointer = "/situations/{$i}/scenes/{$c}";
            $model = $in->modelAt($choice->unit, "{$pointer}/unit");
            if ($model !== null && $in->units[$choice->unit]->scene($choice->scene) === null) {
                $in->problem("{$pointer}/scene", "The unit \"{$choice->unit}\" has no scene \"{$choice->scene}\".");
            }
            if (isset($seen[$choice->unit])) {
                $in->problem($pointer, "/situations/{$i}/scenes/{$seen[$choice->unit]} chooses its scene already.");
            }
            $seen[$choice->unit] = $c;
        }
    }

    private function effectsOf(Fit $in, Situation $situation, int $i): void
    {
        $seen = [];
        foreach ($situation->effects as $e => $switch) {
            $pointer = "/situations/{$i}/effects/{$e}";
            $model = $in->modelAt($switch->unit, "{$pointer}/unit");
            if ($model !== null && $in->units[$switch->unit]->effect($switch->effect) === null) {
                $in->problem("{$pointer}/effect", "The unit \"{$switch->unit}\" has no effect \"{$switch->effect}\".");
            }
            if (isset($seen[$switch->slot()])) {
                $in->problem($pointer, "/situations/{$i}/effects/{$seen[$switch->slot()]} switches this already.");
            }
            $seen[$switch->slot()] = $e;
        }
    }

    private function defaultsOf(Fit $in, Situation $situation, int $i): void
    {
        $seen = [];
        foreach ($situation->defaults as $d => $default) {
            $pointer = "/situations/{$i}/defaults/{$d}";
            $host = $in->modelAt($default->computer, "{$pointer}/computer");
            if ($host !== null && ! $host->family->isHost()) {
                $in->problem("{$pointer}/computer", "\"{$default->computer}\" is no computer or tablet.");
            }
            if ($host?->takes === Takes::LastPlugged) {
                $in->problem($pointer, self::BY_PLUG);
            }
            $offer = $in->offerAt($default->device, "{$pointer}/device");
            if ($offer !== null && $offer->direction !== $default->direction) {
                $in->problem("{$pointer}/device", "This is a {$offer->direction->value} device, not a {$default->direction->value} one.");
            }
            if ($default->role !== Role::Call && $default->role->value !== $default->direction->value) {
                $in->problem(
                    "{$pointer}/role",
                    "A {$default->direction->value} device can't be the default for {$default->role->value}.",
                );
            }
            if (isset($seen[$default->slot()])) {
                $in->problem($pointer, "/situations/{$i}/defaults/{$seen[$default->slot()]} names this default already.");
            }
            $seen[$default->slot()] = $d;
        }
    }

    private function settingsOf(Fit $in, Situation $situation, int $i): void
    {
        $seen = [];
        foreach ($situation->settings as $s => $set) {
            $pointer = "/situations/{$i}/settings/{$s}";
            $model = $in->modelAt($set->unit, "{$pointer}/unit");
            if ($model !== null) {
                $at = isset($model->settings[$set->setting]) ? 'value' : 'setting';
                Settled::named($in, $model, $set->setting, $set->value, "{$pointer}/{$at}");
            }
            if (isset($seen[$set->slot()])) {
                $in->problem($pointer, "/situations/{$i}/settings/{$seen[$set->slot()]} sets this already.");
            }
            $seen[$set->slot()] = $s;
        }
    }

    private function levelsOf(Fit $in, Situation $situation, int $i): void
    {
        $seen = [];
        foreach ($situation->levels as $l => $level) {
            $pointer = "/situations/{$i}/levels/{$l}";
            $host = $in->modelAt($level->computer, "{$pointer}/computer");
            if ($host !== null && ! $host->family->isHost()) {
                $in->problem("{$pointer}/computer", "\"{$level->computer}\" is no computer or tablet.");
            }
            $in->offerAt($level->device, "{$pointer}/device");
            if (isset($seen[$level->slot()])) {
                $in->problem($pointer, "/situations/{$i}/levels/{$seen[$level->slot()]} sets this device already.");
            }
            $seen[$level->slot()] = $l;
        }
    }
}

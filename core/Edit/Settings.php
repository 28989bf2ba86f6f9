<?php

declare(strict_types=1);

namespace HiddenWire\Core\Edit;

use HiddenWire\Core\Rig\Change;
use HiddenWire\Core\Rig\Pick;
use HiddenWire\Core\Rig\PointSettings;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\RouteRef;
use HiddenWire\Core\Rig\RouteSettings;
use HiddenWire\Core\Rig\Situation;
use HiddenWire\Core\Rig\Unit;

/** Where a setting is kept: with its unit, or among a situation's changes. */
final class Settings
{
    /** @param  callable(Unit): Unit  $change */
    public static function ofUnit(Rig $rig, string $unit, callable $change): Rig
    {
        return new Rig($rig->parts()->changing('units', $unit, $change(...)));
    }

    /** Adds changes to a situation in order, on top of what it changes there already. */
    public static function ofSituation(Rig $rig, string $situation, Change ...$changes): Rig
    {
        return new Rig($rig->parts()->changing('situations', $situation, function (Situation $one) use ($rig, $changes): Situation {
            $all = $one->changes;
            foreach ($changes as $change) {
                $all = self::onTop($rig, $all, $change);
            }

            return $one->with(changes: $all);
        }));
    }

    /**
     * @param  array<array-key, Change>  $changes  of a situation
     * @return list<Change>
     */
    private static function onTop(Rig $rig, array $changes, Change $change): array
    {
        $all = [];
        $isSet = false;
        foreach ($changes as $kept) {
            $isSame = (string) $kept->at === (string) $change->at && ($kept->set instanceof Pick) === ($change->set instanceof Pick);
            if ($isSame) {
                $kept = new Change($change->at, match (true) {
                    $kept->set instanceof PointSettings && $change->set instanceof PointSettings => $kept->set->under($change->set),
                    $kept->set instanceof RouteSettings && $change->set instanceof RouteSettings => $kept->set->under($change->set),
                    default => $change->set,
                });
                $isSet = true;
            } elseif ($kept->set instanceof RouteSettings && self::isOverruled($rig, $kept, $change)) {
                $kept = new Change($kept->at, $kept->set->with(on: null));
            }
            if (! $kept->set instanceof RouteSettings || ! $kept->set->isEmpty()) {
                $all[] = $kept;
            }
        }

        return $isSet ? $all : [...$all, $change];
    }

    public static function where(Rig $rig, ?string $situation): string
    {
        return $situation === null ? '' : " in {$rig->situations[$situation]->name}";
    }

    /** Whether a change of the same exclusive group says otherwise: it switches another choice on, or this one off. */
    private static function isOverruled(Rig $rig, Change $kept, Change $change): bool
    {
        if (! $kept->at instanceof RouteRef || ! $change->at instanceof RouteRef || $kept->at->unit !== $change->at->unit
            || ! $kept->set instanceof RouteSettings || ! $change->set instanceof RouteSettings
            || $kept->set->on !== true || $change->set->on === null) {
            return false;
        }
        $routes = $rig->modelOf($change->at->unit)->routes;
        [$was, $is] = [$routes[$kept->at->key] ?? null, $routes[$change->at->key] ?? null];

        return $is?->group !== null && $was?->group === $is->group && ($was->choice() === $is->choice()) !== $change->set->on;
    }
}

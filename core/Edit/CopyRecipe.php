<?php

declare(strict_types=1);

namespace HiddenWire\Core\Edit;

use HiddenWire\Core\Equipment\Route;
use HiddenWire\Core\Equipment\RouteSetting;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\RouteRef;
use HiddenWire\Core\Rig\RouteSettings;
use HiddenWire\Core\Rig\State;

/** Gives an output of a unit what another gets now, once: every route that both have, as far as it can be set. */
final readonly class CopyRecipe implements RigEdit
{
    /** @param  string|null  $situation  where it is read and set; null for the base */
    public function __construct(public string $unit, public string $from, public string $to, public ?string $situation = null)
    {
    }

    public function applyTo(Rig $rig): Rig
    {
        $state = new State($rig, $rig->situation($this->situation) ?? $rig->base());
        $routes = $rig->modelOf($this->unit)->routes;
        foreach ($routes as $route) {
            $twin = $route->to === $this->from ? $routes["{$route->from}>{$this->to}"] ?? null : null;
            if ($twin !== null) {
                $set = self::alike($state->route($this->unit, $route), $state->route($this->unit, $twin));
                $rig = $set->isEmpty()
                    ? $rig
                    : (new SetRoute(new RouteRef($this->unit, $twin->key()), $set, $this->situation))->applyTo($rig);
            }
        }

        return $rig;
    }

    public function words(Rig $rig): string
    {
        $model = $rig->modelOf($this->unit);

        return "{$rig->units[$this->unit]->name}: {$model->points[$this->to]->label} gets what {$model->points[$this->from]->label} gets"
            .Settings::where($rig, $this->situation);
    }

    /** Whether anything can be copied between two outputs. */
    public static function isPossible(Rig $rig, PointRef $from, PointRef $to): bool
    {
        if ($from->unit !== $to->unit || $from->point === $to->point) {
            return false;
        }
        $routes = $rig->modelOf($from->unit)->routes;
        foreach ($routes as $route) {
            if ($route->to === $from->point && ($routes["{$route->from}>{$to->point}"]->can ?? []) !== []) {
                return true;
            }
        }

        return false;
    }

    /** The settings that make a route equal to another, as far as they can be set. */
    private static function alike(Route $from, Route $to): RouteSettings
    {
        return new RouteSettings(
            $from->on !== $to->on && $to->allows(RouteSetting::On) ? $from->on : null,
            ! $from->db->equals($to->db) && $to->allows(RouteSetting::Db) ? $to->level?->nearest($from->db) ?? $from->db : null,
            $from->tap !== $to->tap && $to->allows(RouteSetting::Tap) ? $from->tap : null,
        );
    }
}

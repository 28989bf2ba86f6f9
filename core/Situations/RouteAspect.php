<?php

declare(strict_types=1);

namespace HiddenWire\Core\Situations;

use HiddenWire\Core\Equipment\RouteSetting;
use HiddenWire\Core\Rig\Names;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\RouteRef;
use HiddenWire\Core\Rig\State;

/** Whether a route that belongs to no exclusive group is on, its level, or where it is tapped. */
final readonly class RouteAspect implements Adjustable
{
    use InUnit;

    public function __construct(Rig $rig, public RouteRef $at, public RouteSetting $setting)
    {
        $this->rig = $rig;
        $this->unit = $at->unit;
    }

    public function key(): string
    {
        return "{$this->at} {$this->setting->value}";
    }

    public function what(): string
    {
        return (new Names($this->rig))->route($this->at);
    }

    public function aspect(): string
    {
        return match ($this->setting) {
            RouteSetting::On => 'route',
            RouteSetting::Db => 'send',
            RouteSetting::Tap => 'tap',
        };
    }

    public function stands(State $state): string
    {
        $route = $state->asSet($this->unit, $this->model()->routes[$this->at->key]);

        return match ($this->setting) {
            RouteSetting::On => $route->on ? 'on' : 'off',
            RouteSetting::Db => "{$route->db->exactText()} dB",
            RouteSetting::Tap => $route->tap->value,
        };
    }

    public function told(State $state): string
    {
        $before = match ($this->setting) {
            RouteSetting::On => '',
            RouteSetting::Db => 'at ',
            RouteSetting::Tap => 'taken ',
        };

        return "{$this->name()}: {$this->what()} {$before}{$this->stands($state)}";
    }

    public function order(): array
    {
        $index = (int) array_search($this->at->key, array_keys($this->model()->routes), true);
        $from = $this->model()->routes[$this->at->key]->from;

        return [2, $this->placeOf($from), 1, $index, (int) array_search($this->setting, RouteSetting::cases(), true)];
    }
}

<?php

declare(strict_types=1);

namespace HiddenWire\Core\Situations;

use HiddenWire\Core\Equipment\Route;
use HiddenWire\Core\Quantity\Listing;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\State;

/** A group of routes of which one choice is on: what an output plays, what an input takes. */
final readonly class Selector implements Adjustable
{
    use InUnit;

    public function __construct(Rig $rig, string $unit, public string $group)
    {
        $this->rig = $rig;
        $this->unit = $unit;
    }

    public function key(): string
    {
        return "{$this->unit} group {$this->group}";
    }

    /** @return array<string, Route> by key */
    public function routes(): array
    {
        return array_filter($this->model()->routes, fn (Route $route) => $route->group === $this->group);
    }

    /** @return array<string, string> what it can be set to, by the key of a route that switches it there */
    public function choices(): array
    {
        $choices = [];
        foreach ($this->routes() as $key => $route) {
            $choices[$route->choice()] ??= [$key, []];
            $choices[$route->choice()][1][] = $this->model()->points[$route->from]->label;
        }

        return array_map(Listing::of(...), array_map(array_unique(...), array_column($choices, 1, 0)));
    }

    public function what(): string
    {
        return Listing::of($this->labels(array_column($this->routes(), 'to')));
    }

    public function aspect(): string
    {
        return 'plays';
    }

    public function stands(State $state): string
    {
        $on = array_filter($this->routes(), fn (Route $route) => $state->asSet($this->unit, $route)->on);

        return $on === [] ? 'nothing' : Listing::of($this->labels(array_column($on, 'from')));
    }

    public function told(State $state): string
    {
        return "{$this->name()}: {$this->what()} plays {$this->stands($state)}";
    }

    public function order(): array
    {
        return [2, min([PHP_INT_MAX, ...array_map($this->placeOf(...), array_column($this->routes(), 'to'))]), 1];
    }

    /**
     * @param  array<array-key, string>  $points
     * @return list<string>
     */
    private function labels(array $points): array
    {
        return array_values(array_unique(array_map(fn (string $id) => $this->model()->points[$id]->label, $points)));
    }
}

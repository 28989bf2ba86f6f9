<?php

declare(strict_types=1);

namespace HiddenWire\Core\Edit;

use HiddenWire\Core\Rig\Names;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\RouteRef;
use HiddenWire\Core\Rig\Unit;

/** Links the levels of routes of a unit, so that they move together and keep their offsets, or parts one from its link. */
final readonly class LinkLevels implements RigEdit
{
    /** @param  string|null  $with  the key of the route to link it with; null to part it */
    public function __construct(public RouteRef $at, public ?string $with)
    {
    }

    public function applyTo(Rig $rig): Rig
    {
        return Settings::ofUnit($rig, $this->at->unit, function (Unit $unit): Unit {
            $linked = array_map(fn (array $keys) => array_values(array_diff($keys, [$this->at->key])), $unit->linked);
            if ($this->with !== null) {
                $isIn = false;
                foreach ($linked as $i => $keys) {
                    if (in_array($this->with, $keys, true)) {
                        $linked[$i][] = $this->at->key;
                        $isIn = true;
                    }
                }
                $linked = $isIn ? $linked : [...$linked, [$this->with, $this->at->key]];
            }

            return $unit->with(linked: array_values(array_filter($linked, fn (array $keys) => count($keys) > 1)));
        });
    }

    public function words(Rig $rig): string
    {
        $names = new Names($rig);
        $name = "{$rig->units[$this->at->unit]->name}: {$names->route($this->at)}";

        return $this->with === null
            ? "{$name} moves by itself"
            : "{$name} moves with {$names->route(new RouteRef($this->at->unit, $this->with))}";
    }
}

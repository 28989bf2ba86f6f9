<?php

declare(strict_types=1);

namespace HiddenWire\Core\Edit;

use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Scene;
use HiddenWire\Core\Rig\Unit;

/** Adds a scene to a program, or sets what one is called and what is in it. */
final readonly class SetScene implements RigEdit
{
    public function __construct(public string $unit, public Scene $scene)
    {
    }

    public function applyTo(Rig $rig): Rig
    {
        return Settings::ofUnit($rig, $this->unit, fn (Unit $unit): Unit => $unit->with(scenes: $unit->scene($this->scene->id) === null
            ? [...$unit->scenes, $this->scene]
            : array_map(fn (Scene $one) => $one->id === $this->scene->id ? $this->scene : $one, $unit->scenes)));
    }

    public function words(Rig $rig): string
    {
        $unit = $rig->units[$this->unit];
        $model = $rig->modelOf($unit);
        $was = $unit->scene($this->scene->id);
        $name = "{$unit->name}: scene {$this->scene->name}";
        $labels = fn (array $points): string => implode(' and ', array_map(fn (string $id) => $model->points[$id]->label ?? $id, $points));
        $more = array_values(array_diff($this->scene->sources, $was->sources ?? []));
        $less = array_values(array_diff($was->sources ?? [], $this->scene->sources));
        $says = array_filter([
            $was === null ? 'added' : '',
            $was === null || $was->name === $this->scene->name ? '' : "was {$was->name}",
            $more === [] ? '' : "with {$labels($more)}",
            $less === [] ? '' : "without {$labels($less)}",
            ...$this->pictures($unit, $was),
        ]);

        return $name.' '.(implode(', ', $says) ?: 'as before');
    }

    /** @return list<string> */
    private function pictures(Unit $unit, ?Scene $was): array
    {
        $names = fn (array $ids): string => implode(' and ', array_map(fn (string $id) => $unit->picture($id)->name ?? $id, $ids));
        $more = array_values(array_diff($this->scene->pictures, $was->pictures ?? []));
        $less = array_values(array_diff($was->pictures ?? [], $this->scene->pictures));

        return [$more === [] ? '' : "shows {$names($more)}", $less === [] ? '' : "does not show {$names($less)}"];
    }
}

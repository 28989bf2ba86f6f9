<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig;

use HiddenWire\Core\Equipment\DeviceNames;

/** What a person calls the things that references lead to: the unit in front, then what is inside it. */
final readonly class Names
{
    public function __construct(private Rig $rig)
    {
    }

    public function of(PointRef|RouteRef|SocketRef|CableRef|DeviceRef|UnitRef|AirRef $at): string
    {
        return match (true) {
            $at instanceof PointRef => $this->inside($at->unit, $this->rig->point($at)->label),
            $at instanceof SocketRef => $this->inside($at->unit, $this->rig->socket($at)->label),
            $at instanceof RouteRef => $this->inside($at->unit, $this->route($at)),
            $at instanceof CableRef => $this->rig->cables[$at->cable]->label,
            $at instanceof UnitRef => $this->rig->units[$at->unit]->name,
            $at instanceof AirRef => $this->of($at->from).' through the air to '.$this->of($at->to),
            $at instanceof DeviceRef => $this->device($at),
        };
    }

    /** A route without its unit: "Mic 1 → Main". */
    public function route(RouteRef $at): string
    {
        $model = $this->rig->modelOf($at->unit);
        $route = $model->routes[$at->key];

        return "{$model->points[$route->from]->label} → {$model->points[$route->to]->label}";
    }

    /** A device as its computer's list shows it: by the name given to it, else by the system's. */
    private function device(DeviceRef $at): string
    {
        foreach ($this->rig->devices as $set) {
            if ((string) $set->device === (string) $at && $set->name !== '') {
                return $set->name;
            }
        }
        $model = $this->rig->modelOf($at->unit);
        $name = DeviceNames::of($model, $at->givenBy, $at->lane);

        return $name === '' || str_contains($name, DeviceNames::PARTNER)
            ? $this->inside($at->unit, $at->lane === null ? $model->points[$at->givenBy]->label : $model->sockets[$at->givenBy]->label)
            : $name;
    }

    private function inside(string $unit, string $label): string
    {
        $name = $this->rig->units[$unit]->name;

        return $label === $name ? $name : "{$name} · {$label}";
    }
}

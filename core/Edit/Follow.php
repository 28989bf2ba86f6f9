<?php

declare(strict_types=1);

namespace HiddenWire\Core\Edit;

use HiddenWire\Core\Rig\Following;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Unit;

/** Lets an output get what another gets, but for exceptions, or no longer. */
final readonly class Follow implements RigEdit
{
    /** @param  Following|null  $following  null for a recipe of its own */
    public function __construct(public PointRef $at, public ?Following $following)
    {
    }

    public function applyTo(Rig $rig): Rig
    {
        return Settings::ofUnit($rig, $this->at->unit, function (Unit $unit): Unit {
            $follows = $unit->follows;
            if ($this->following === null) {
                unset($follows[$this->at->point]);
            } else {
                $follows[$this->at->point] = $this->following;
            }

            return $unit->with(follows: $follows);
        });
    }

    public function words(Rig $rig): string
    {
        $model = $rig->modelOf($this->at->unit);
        $name = "{$rig->units[$this->at->unit]->name}: {$model->points[$this->at->point]->label}";
        if ($this->following === null) {
            return "{$name} follows no other output";
        }
        $except = array_map(fn (string $from) => $model->points[$from]->label, $this->following->except);

        return "{$name} follows {$model->points[$this->following->of]->label}".($this->following->withFader ? ' with its fader' : '')
            .($except === [] ? '' : ', except '.implode(' and ', $except));
    }
}

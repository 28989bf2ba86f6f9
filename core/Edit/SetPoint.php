<?php

declare(strict_types=1);

namespace HiddenWire\Core\Edit;

use HiddenWire\Core\Rig\Change;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\PointSettings;
use HiddenWire\Core\Rig\Rig;

/** Sets a point's gain, fader, mute, mono switch or delay: for good, or as what a situation changes. */
final readonly class SetPoint implements RigEdit
{
    public function __construct(public PointRef $at, public PointSettings $set, public ?string $situation = null)
    {
    }

    public function applyTo(Rig $rig): Rig
    {
        return $this->situation === null
            ? Settings::ofUnit(
                $rig,
                $this->at->unit,
                fn ($unit) => $unit->with(points: [
                    ...$unit->points,
                    $this->at->point => ($unit->points[$this->at->point] ?? new PointSettings)->under($this->set),
                ]),
            )
            : Settings::ofSituation($rig, $this->situation, new Change($this->at, $this->set));
    }

    public function words(Rig $rig): string
    {
        return "{$rig->units[$this->at->unit]->name}: {$rig->point($this->at)->label} ".$this->set->words().Settings::where(
            $rig,
            $this->situation,
        );
    }
}

<?php

declare(strict_types=1);

namespace HiddenWire\Core\Edit;

use HiddenWire\Core\Rig\Change;
use HiddenWire\Core\Rig\Names;
use HiddenWire\Core\Rig\Pick;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\Rig;

/** Lets a program's in or out use a device, or none. A situation can pick another device, but not none. */
final readonly class SetPick implements RigEdit
{
    public function __construct(public PointRef $at, public ?Pick $pick, public ?string $situation = null)
    {
    }

    public function applyTo(Rig $rig): Rig
    {
        if ($this->situation !== null && $this->pick !== null) {
            return Settings::ofSituation($rig, $this->situation, new Change($this->at, $this->pick));
        }
        $picks = array_values(array_filter($rig->picks, fn (Pick $pick) => (string) $pick->at !== (string) $this->at));
        if ($this->pick !== null) {
            $place = array_search((string) $this->at, array_keys($rig->picks), true);
            array_splice($picks, $place === false ? count($picks) : $place, 0, [$this->pick]);
        }

        return new Rig($rig->parts()->with(picks: $picks));
    }

    public function words(Rig $rig): string
    {
        $what = "{$rig->units[$this->at->unit]->name}: {$rig->point($this->at)->label}";

        return "{$what} uses ".($this->pick?->words(new Names($rig)) ?? 'no device')
            .Settings::where($rig, $this->pick === null ? null : $this->situation);
    }
}

<?php

declare(strict_types=1);

namespace HiddenWire\Core\Edit;

use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Rig\Names;
use HiddenWire\Core\Rig\Pick;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\State;
use HiddenWire\Core\Rig\SystemLevel;

/** The system's own level and mute of a program, where it uses a device. */
final readonly class SetProgramLevel implements RigEdit
{
    /** @param  Decibels|null  $db  null for as it comes */
    public function __construct(public PointRef $at, public ?Decibels $db, public bool $mute, public ?string $situation = null)
    {
    }

    public function applyTo(Rig $rig): Rig
    {
        $pick = $this->pick($rig);

        return $pick === null
            ? $rig
            : (new SetPick($this->at, $pick->with(db: $this->db, mute: $this->mute), $this->situation))->applyTo($rig);
    }

    public function words(Rig $rig): string
    {
        $said = SystemLevel::said($this->db, $this->mute);

        return (new Names($rig))->of($this->at)." in the system {$said}".Settings::where($rig, $this->situation);
    }

    /** What is picked there now. */
    private function pick(Rig $rig): ?Pick
    {
        $situation = $rig->situation($this->situation);

        return $situation === null ? null : (new State($rig, $situation))->pick($this->at->unit, $this->at->point);
    }
}

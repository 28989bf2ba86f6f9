<?php

declare(strict_types=1);

namespace HiddenWire\Core\Edit;

use HiddenWire\Core\Rig\Days;
use HiddenWire\Core\Rig\Rig;

/** Says on which days the rig is used, or that nobody knows. */
final readonly class SetDays implements RigEdit
{
    public function __construct(public ?Days $days)
    {
    }

    public function applyTo(Rig $rig): Rig
    {
        return new Rig($rig->parts()->with(days: $this->days));
    }

    public function words(Rig $rig): string
    {
        return $this->days === null ? 'The rig is used on no given days' : "The rig is used on {$this->days->words()}";
    }
}

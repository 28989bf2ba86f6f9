<?php

declare(strict_types=1);

namespace HiddenWire\Core\Edit;

use HiddenWire\Core\Rig\Cable;
use HiddenWire\Core\Rig\Rig;

/** Labels all cables anew, W-01, W-02, … in their order. */
final readonly class RenumberCables implements RigEdit
{
    public function applyTo(Rig $rig): Rig
    {
        $number = 0;

        return new Rig($rig->parts()->with(cables: array_map(function (Cable $cable) use (&$number): Cable {
            return $cable->with(label: Plug::label(++$number));
        }, array_values($rig->cables))));
    }

    public function words(Rig $rig): string
    {
        return count($rig->cables) === 1 ? 'The cable is renumbered' : 'All '.count($rig->cables).' cables are renumbered';
    }
}

<?php

declare(strict_types=1);

namespace HiddenWire\Core\Edit;

use HiddenWire\Core\Quantity\Count;
use HiddenWire\Core\Quantity\Listing;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Unit;

/** Adds what somebody has listed, in one step: places first, then units into them. */
final readonly class AddEquipment implements RigEdit
{
    /** So many units are named in what is said. */
    private const NAMED = 4;

    /** @param  list<AddPlace|AddUnit>  $parts  in order */
    public function __construct(public array $parts)
    {
    }

    public function applyTo(Rig $rig): Rig
    {
        return array_reduce($this->parts, fn (Rig $is, AddPlace|AddUnit $part): Rig => $part->applyTo($is), $rig);
    }

    public function words(Rig $rig): string
    {
        $after = $this->applyTo($rig);
        $names = array_map(fn (Unit $one) => $one->name, array_diff_key($after->units, $rig->units));
        $places = count($after->places) - count($rig->places);

        return 'Added '.Count::of(count($names), 'unit').($places === 0 ? '' : ' and '.Count::of($places, 'place')).': '
            .Listing::of($names, self::NAMED);
    }
}

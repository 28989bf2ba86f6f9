<?php

declare(strict_types=1);

namespace HiddenWire\Core\Grounds;

use HiddenWire\Core\Rig\Cable;

/** A circle of grounds with an analog cable in it. */
final readonly class GroundCycle
{
    /**
     * @param  Cable  $closing  the analog cable to isolate
     * @param  list<string>  $units  ids, in the order of the circle, from one end of that cable to the other
     * @param  list<Cable>  $cables  the others of the circle
     * @param  bool  $isByEarth  it is closed by the earth pins of two units
     */
    public function __construct(public Cable $closing, public array $units, public array $cables, public bool $isByEarth)
    {
    }
}

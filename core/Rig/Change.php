<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig;

/** One override of a situation: a point's controls, a route, or a pick. */
final readonly class Change
{
    public function __construct(public PointRef|RouteRef $at, public PointSettings|RouteSettings|Pick $set)
    {
    }
}

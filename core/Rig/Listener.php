<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig;

use HiddenWire\Core\With;

/** Who or what receives: ears, the viewers, one recording track, a caller, a team. */
final readonly class Listener
{
    use With;

    /** @param  list<PointRef>  $at  empty while no unit reaches them yet */
    public function __construct(public string $id, public string $name, public ListenerKind $kind, public array $at = [])
    {
    }
}

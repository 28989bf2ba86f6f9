<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig;

use HiddenWire\Core\With;

/** A sound that exists: a voice, a game, music, alerts, a caller, a console. */
final readonly class Source
{
    use With;

    /** @param  array<int, Origin>  $origins  empty while no unit gives it yet */
    public function __construct(public string $id, public string $name, public SourceKind $kind, public array $origins = [])
    {
    }
}
